# Every check and test, in the order in which they fail fastest; or one part of them.

step() {
    say ""
    say "== $1"
    shift
    "$@"
}

# Several steps at once; what all but the first say comes when they are done, one after another. Any of them may be several at once.
together() {
    first=$1
    shift
    running=""
    for other in "$@"; do
        "$other" >"$GNOMIC_DATA/logs/$other.log" 2>&1 &
        running="$running $!:$other"
    done
    failed=no
    ("$first") || failed=yes
    for one in $running; do
        wait "${one%%:*}" || failed=yes
        cat "$GNOMIC_DATA/logs/${one#*:}.log"
    done
    if [ $failed = yes ]; then return 1; fi
}

# Where hundreds of commands are started, and what they write is read but not weighed: PHP compiled once for all of them, and packing
# that does not try for the smallest.
in_a_hurry() {
    mkdir -p "$GNOMIC_DATA/compiled"
    (
        export GNOMIC_COMPILED="$GNOMIC_DATA/compiled" PHP_INI_SCAN_DIR=":$ROOT/tests/ini" PATH="$ROOT/tests/bin:$PATH"
        "$@"
    )
}

# A failing command in a function that is asked for its success ends nothing by itself, hence the &&.
check_php() {
    step "PHP style" with_jit vendor/bin/pint --test --quiet \
        && step "PHP types, core and app" analyse phpstan.neon \
        && step "PHP types, around it" analyse phpstan.around.neon
}

# Code that goes over all of our PHP is compiled as it runs: Pint takes a third less.
with_jit() { (export PHP_INI_SCAN_DIR=":$ROOT/tests/ini/lint"; "$@"); }

analyse() { with_jit vendor/bin/phpstan analyse -c "$1" --no-progress --memory-limit=1G; }

check_scripts() {
    step "Svelte and TypeScript" npm run --silent check \
        && step "ESLint and Prettier" npm run --silent lint
}

check_style() { together check_php check_scripts; }

# One suite of PHPUnit, or all, on both cores; three at a time, as some wait for what others do.
run_phpunit() { in_a_hurry paratest_of "$@"; }

paratest_of() {
    if [ $# = 0 ]; then
        step "PHPUnit" vendor/bin/paratest --processes=3 --no-progress --log-junit "$GNOMIC_DATA/logs/phpunit.xml"
    else
        step "PHPUnit, $1" vendor/bin/paratest --processes=3 --no-progress --testsuite "$1" --log-junit "$GNOMIC_DATA/logs/phpunit-$1.xml"
    fi
}

run_vitest() { step "Vitest" npx vitest run --config tests/units/vitest.config.ts; }

run_rendered() { in_a_hurry step "Playwright, widgets by themselves" npx playwright test -c playwright.rendered.config.ts; }

# A demo each, side by side: most of the time is spent waiting for what comes by itself.
run_stories() { together stories_of_making stories_of_keeping; }
stories_of_making() { stories making 18080; }
stories_of_keeping() { stories keeping 18090; }
stories() { GNOMIC_TEST_PORT=$2 step "Playwright, stories: $1" npx playwright test --project="$1"; }

run_browser() { run_vitest && run_rendered && run_stories; }

# Style and types take what the suites leave over; where they have failed, no further suite is begun.
run_all() {
    aside_failed="$GNOMIC_DATA/logs/aside.failed"
    rm -f "$aside_failed"
    together run_suites run_aside
}

# One after another: each keeps both cores busy by itself, and two of them at once get in each other's way.
run_suites() {
    for suite in run_phpunit run_rendered run_stories; do
        if [ -f "$aside_failed" ] || ! "$suite"; then return 1; fi
    done
}

# The parent of that little shell is the one that goes on with the checks.
run_aside() {
    sh -c 'renice -n 19 $PPID >/dev/null'
    if ! { check_style && run_vitest; }; then
        touch "$aside_failed"
        return 1
    fi
}

# The slowest of all that ran, so that what has become slow is seen.
tell_slowest() {
    step "The slowest twenty, in seconds" true
    for log in "$GNOMIC_DATA"/logs/phpunit*.xml; do
        if [ -f "$log" ]; then php "$ROOT/bin/lib/test-times.php" "$log" >>"$GNOMIC_TIMES"; fi
    done
    sort -rn "$GNOMIC_TIMES" | head -20
}

run_tests() {
    GNOMIC_DATA=$ROOT/var/test
    export GNOMIC_DATA
    mkdir -p "$GNOMIC_DATA/logs" "$GNOMIC_DATA/storage/framework/views" "$GNOMIC_DATA/storage/framework/cache/data" "$GNOMIC_DATA/storage/framework/sessions" "$GNOMIC_DATA/storage/logs"
    export GNOMIC_TIMES="$GNOMIC_DATA/logs/times.tsv"
    rm -f "$GNOMIC_TIMES" "$GNOMIC_DATA"/logs/phpunit*.xml
    : >"$GNOMIC_TIMES"
    began=$(date +%s)
    case "$1" in
        all) run_all ;;
        long) export GNOMIC_LONG=yes; run_all ;;
        style) check_style ;;
        core | app | against) run_phpunit "$1" ;;
        browser) run_browser ;;
        *) fail "test knows core, app, against, browser, style and long, not $1" ;;
    esac && tell_slowest && say "" && say "All of it passed, in $(($(date +%s) - began)) seconds."
}

run_measure() {
    npx playwright test --config=tests/measure/playwright.config.ts
}

# The pictures of docs/screenshots, made anew from a fresh demo.
run_pictures() {
    npx playwright test --config=tests/pictures/playwright.config.ts
}