# Installing and building, each only where something is missing or has changed.

PACKAGES="php8.2-cli php8.2-fpm php8.2-opcache php8.2-sqlite3 php8.2-curl php8.2-gd php8.2-zip php8.2-intl php8.2-mbstring php8.2-xml php8.2-apcu
nginx brotli libnginx-mod-http-brotli-static chromium unzip wrk default-jre-headless fonts-noto-core fonts-noto-cjk fonts-noto-color-emoji unicode-data"
# The tests take less time with these, and run without them.
FASTER="chromium-headless-shell"

setup() {
    setup_debian
    setup_composer
    setup_npm
    setup_build
}

setup_debian() {
    command -v dpkg-query >/dev/null || { say "setup: no Debian packages here; PHP 8.2, Node 20, nginx and brotli are taken as they are"; return 0; }
    missing=""
    for package in $PACKAGES; do
        state=$(dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null) || state=""
        if [ "$state" != installed ]; then missing="$missing $package"; fi
    done
    if [ -z "$missing" ]; then return 0; fi
    [ "$(id -u)" = 0 ] || fail "these Debian packages are missing; install them as root:$missing"
    say "setup: installing$missing"
    apt-get update -qq
    # shellcheck disable=SC2086
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing >/dev/null
}

# Runs the rest of its arguments unless the files named by the pattern are as they were the last time.
when_changed() {
    stamp=$1
    digest=$2
    shift 2
    if [ "$(cat "$stamp" 2>/dev/null)" = "$digest" ]; then return 0; fi
    "$@"
    mkdir -p "$(dirname "$stamp")"
    printf '%s\n' "$digest" >"$stamp"
}

# What the build itself writes does not count, or every second setup would build anew.
digest_of() {
    find "$@" -type f ! -path '*/node_modules/*' ! -path 'resources/studio/api/*.d.ts' -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum
}

# Tried once: without a network that takes long.
setup_faster() { when_changed var/.faster "$FASTER" install_faster; }

install_faster() {
    if [ "$(id -u)" != 0 ] || ! command -v apt-get >/dev/null || dpkg-query -s $FASTER >/dev/null 2>&1; then return 0; fi
    say "setup: installing $FASTER"
    { timeout 60 apt-get update -qq && DEBIAN_FRONTEND=noninteractive timeout 300 apt-get install -y -qq --no-install-recommends $FASTER; } >/dev/null 2>&1 \
        || say "setup: $FASTER cannot be installed; the tests take longer"
}

setup_composer() {
    command -v composer >/dev/null || fail "Composer is missing; install Debian's package composer"
    when_changed vendor/.stamp "$(digest_of composer.json packages)" install_composer
}

install_composer() {
    say "setup: installing PHP packages"
    composer update -q --no-progress
    chmod -R go+rX vendor
    rm -f bootstrap/cache/packages.php bootstrap/cache/services.php
}

setup_npm() {
    command -v npm >/dev/null || fail "Node.js 20 with npm is missing"
    when_changed node_modules/.stamp "$(digest_of package.json package-lock.json)" install_npm
}

install_npm() {
    say "setup: installing npm packages"
    npm ci --no-audit --no-fund --silent
}

setup_build() {
    # The framework notes which packages it found, in a folder that the unprivileged server cannot write.
    if [ ! -f bootstrap/cache/services.php ]; then php artisan --version >/dev/null && chmod go+r bootstrap/cache/*.php; fi
    when_changed public/build/.stamp "$(digest_of resources docs/openapi.yaml core/Brief/brief.schema.json package-lock.json vite.config.ts vite.embed.config.ts vite.site.config.ts bin/build-behaviours.mjs)" build
}

build() {
    say "setup: building the studio and the element"
    npm run --silent types >/dev/null
    npm run --silent build >/dev/null
    for file in public/gnomic.js public/site.js public/b/*.js $(find public/build -name '*.js' -o -name '*.css'); do
        gzip -9 -k -f "$file"
        if command -v brotli >/dev/null; then brotli --best -k -f "$file"; fi
    done
    chmod -R go+rX public
}
