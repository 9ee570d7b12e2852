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
    step "Generated types are up to date" generated_types_stand
    step "Svelte and TypeScript" npm run --silent check
    step "ESLint and Prettier" npm run --silent lint
    step "PHPUnit" vendor/bin/phpunit --no-progress
    step "Playwright" npx playwright test
}

generated_types_stand() {
    before=$(cat resources/studio/api/schema.d.ts resources/studio/api/brief.d.ts | sha256sum)
    npm run --silent types >/dev/null
    [ "$before" = "$(cat resources/studio/api/schema.d.ts resources/studio/api/brief.d.ts | sha256sum)" ] \
        || fail "the types were not made from docs/openapi.yaml and the brief's schema as they are: commit what npm run types wrote"
}

run_measure() {
    npx playwright test --config=tests/measure/playwright.config.ts
}
