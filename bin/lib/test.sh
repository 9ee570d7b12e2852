# Every check and test, in the order in which they fail fastest; or one part of them.

step() {
    say ""
    say "== $1"
    shift
    "$@"
}

# Two steps at once, since there are two cores; what the second says comes when the first is done.
both() {
    said=$GNOMIC_DATA/logs/second.log
    "$2" >"$said" 2>&1 &
    second=$!
    first_failed=no
    "$1" || first_failed=yes
    second_failed=no
    wait "$second" || second_failed=yes
    cat "$said"
    if [ "$first_failed$second_failed" != nono ]; then return 1; fi
}

# A failing command in a function that is asked for its success ends nothing by itself, hence the &&.
check_php() {
    step "PHP style" vendor/bin/pint --test --quiet \
        && step "PHP types, core" analyse phpstan.core.neon \
        && step "PHP types, app" analyse phpstan.neon \
        && step "PHP types, around it" analyse phpstan.around.neon
}

analyse() { vendor/bin/phpstan analyse -c "$1" --no-progress --memory-limit=1G; }

check_scripts() {
    step "Svelte and TypeScript" npm run --silent check \
        && step "ESLint and Prettier" npm run --silent lint
}

check_style() { both check_php check_scripts; }

# One suite of PHPUnit, or all, on both cores.
run_phpunit() {
    if [ $# = 0 ]; then
        step "PHPUnit" vendor/bin/paratest --processes=2 --no-progress
    else
        step "PHPUnit, $1" vendor/bin/paratest --processes=2 --no-progress --testsuite "$1"
    fi
}

run_vitest() { step "Vitest" npx vitest run --config tests/units/vitest.config.ts; }

# Two demos side by side, each with stories of its own: most of the time is spent waiting for what comes by itself.
run_browser() { both browser_around browser_bench; }
browser_bench() { GNOMIC_TEST_PORT=18080 step "Playwright, the bench" npx playwright test --project=bench; }
browser_around() { GNOMIC_TEST_PORT=18090 step "Playwright, what is around it" npx playwright test --project=around; }

run_tests() {
    GNOMIC_DATA=$ROOT/var/test
    export GNOMIC_DATA
    mkdir -p "$GNOMIC_DATA/logs" "$GNOMIC_DATA/storage/framework/views" "$GNOMIC_DATA/storage/framework/cache/data" "$GNOMIC_DATA/storage/framework/sessions" "$GNOMIC_DATA/storage/logs"
    case "$1" in
        all) check_style && run_phpunit && run_vitest && run_browser ;;
        style) check_style ;;
        core | app | against) run_phpunit "$1" ;;
        browser) run_vitest && run_browser ;;
        *) fail "test knows core, app, against, browser and style, not $1" ;;
    esac
}

run_measure() {
    npx playwright test --config=tests/measure/playwright.config.ts
}

# The pictures of docs/screenshots, made anew from a fresh demo.
run_pictures() {
    npx playwright test --config=tests/pictures/playwright.config.ts
}
