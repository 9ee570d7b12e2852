# Every check and test, in the order in which they fail fastest.

step() {
    say ""
    say "== $1"
    shift
    "$@"
}

run_tests() {
    GNOMIC_DATA=$ROOT/var/test
    export GNOMIC_DATA
    mkdir -p "$GNOMIC_DATA/storage/framework/views" "$GNOMIC_DATA/storage/framework/cache/data" "$GNOMIC_DATA/storage/framework/sessions" "$GNOMIC_DATA/storage/logs"
    step "PHP style" vendor/bin/pint --test --quiet
    step "PHP types, core" vendor/bin/phpstan analyse -c phpstan.core.neon --no-progress --memory-limit=1G
    step "PHP types, the rest" vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G
    step "Svelte and TypeScript" npm run --silent check
    step "ESLint and Prettier" npm run --silent lint
    step "PHPUnit" vendor/bin/phpunit --no-progress
    step "Playwright" npx playwright test
}

run_measure() {
    npx playwright test --config=tests/measure/playwright.config.ts
}

# The pictures of docs/screenshots, made anew from a fresh demo.
run_pictures() {
    npx playwright test --config=tests/pictures/playwright.config.ts
}
