# Running: every child in a process group of its own, so that stopping it stops whatever it started. One that ends is started again.

CHILDREN=""
AS=""
# Pairs of a process and the function that starts it.
KEPT=""

start() {
    name=$1
    shift
    # shellcheck disable=SC2086
    setsid $AS "$@" >>"$GNOMIC_DATA/logs/$name.log" 2>&1 </dev/null &
    CHILDREN="$CHILDREN $!"
}

start_as_is() {
    kept=$AS
    AS=""
    start "$@"
    AS=$kept
}

# keep FUNCTION: starts a child by that function, now and whenever it has ended.
keep() {
    "$1"
    KEPT="$KEPT $!:$1"
}

stop_all() {
    # Whoever asks twice, or no longer listens, must not end this half way.
    trap '' INT TERM HUP PIPE
    trap - EXIT
    for child in $CHILDREN; do kill -s TERM -- "-$child" 2>/dev/null || true; done
    tries=0
    while [ -n "$CHILDREN" ] && [ $tries -lt 50 ]; do
        alive=no
        for child in $CHILDREN; do if kill -s 0 -- "-$child" 2>/dev/null; then alive=yes; fi; done
        if [ $alive = no ]; then break; fi
        sleep 0.1
        tries=$((tries + 1))
    done
    for child in $CHILDREN; do kill -s KILL -- "-$child" 2>/dev/null || true; done
    CHILDREN=""
}

stop_and_leave() {
    stop_all
    say "gnomic: stopped" || true
    exit 0
}

guard() {
    trap stop_all EXIT
    trap stop_and_leave INT TERM HUP
}

need_port() {
    php -r '$s = @stream_socket_server("tcp://127.0.0.1:$argv[1]", $n, $e); exit($s === false ? 1 : 0);' "$1" \
        || fail "port $1 is busy ($2). End what uses it, or choose another: $3=$(($1 + 1000)) ./gnomic ..."
}

wait_for() {
    php -r '
        for ($end = microtime(true) + 30; microtime(true) < $end; usleep(100000)) {
            $context = stream_context_create(["http" => ["ignore_errors" => true, "timeout" => 5]]);
            if (@file_get_contents($argv[1], false, $context) !== false) { exit(0); }
        }
        exit(1);' "$1" || fail "$1 does not answer; see $GNOMIC_DATA/logs"
}

# Whoever runs the servers: as root, an unprivileged user, where that one can read the project.
choose_user() {
    WEB_USER=$(id -un)
    if [ "$(id -u)" != 0 ]; then return 0; fi
    chown -R www-data:www-data "$GNOMIC_DATA"
    AS="setpriv --reuid=www-data --regid=www-data --clear-groups --"
    WEB_USER=www-data
    for file in "$ROOT/artisan" "$ROOT/vendor/autoload.php" "$ROOT/public/build/manifest.json" "$GNOMIC_DATA/.env"; do
        if ! $AS test -r "$file"; then
            AS=""
            WEB_USER=root
            say "gnomic: an unprivileged user cannot read $file, so the servers run as root. Put the project where others can read it."
            chown -R root "$GNOMIC_DATA"
            return 0
        fi
    done
}

artisan() {
    # shellcheck disable=SC2086
    $AS php "$ROOT/artisan" "$@"
}

# An instance is a folder: settings, database, editions, logs.
prepare_data() {
    mkdir -p "$GNOMIC_DATA"
    GNOMIC_DATA=$(CDPATH= cd -- "$GNOMIC_DATA" && pwd -P)
    export GNOMIC_DATA
    mkdir -p "$GNOMIC_DATA/w" "$GNOMIC_DATA/logs" "$GNOMIC_DATA/run/tmp" "$GNOMIC_DATA/storage/app" "$GNOMIC_DATA/storage/logs" \
        "$GNOMIC_DATA/storage/framework/cache/data" "$GNOMIC_DATA/storage/framework/sessions" "$GNOMIC_DATA/storage/framework/views"
    # Published files are for everybody; all else is its owner's.
    chmod 711 "$GNOMIC_DATA"
    chmod 755 "$GNOMIC_DATA/w"
    chmod 700 "$GNOMIC_DATA/logs" "$GNOMIC_DATA/storage"
    key=$(sed -n 's/^APP_KEY=//p' "$GNOMIC_DATA/.env" 2>/dev/null || true)
    if [ -z "$key" ]; then key="base64:$(php -r 'echo base64_encode(random_bytes(32));')"; fi
    umask 077
    {
        say "APP_KEY=$key"
        say "APP_ENV=production"
        say "APP_DEBUG=false"
        say "APP_URL=${GNOMIC_URL:-http://127.0.0.1:$HTTP_PORT}"
        "$1"
    } >"$GNOMIC_DATA/.env.new"
    mv "$GNOMIC_DATA/.env.new" "$GNOMIC_DATA/.env"
    chmod 600 "$GNOMIC_DATA/.env"
    touch "$GNOMIC_DATA/gnomic.sqlite"
    for file in "$GNOMIC_DATA/gnomic.sqlite"*; do chmod 600 "$file"; done
    umask 022
    choose_user
    # The settings lie in the folder; what the shell carries must not stand before them.
    unset APP_KEY APP_URL APP_ENV APP_DEBUG DB_DATABASE 2>/dev/null || true
    artisan migrate --force --quiet
}

# The owner of a real instance may keep more settings in more.env beside it.
real_settings() { if [ -f "$GNOMIC_DATA/more.env" ]; then cat "$GNOMIC_DATA/more.env"; fi; }

demo_settings() {
    say "GNOMIC_STANDINS=http://127.0.0.1:$STANDINS_PORT"
    say "GNOMIC_SITE=http://127.0.0.1:$SITE_PORT/"
    for service in wayleaf ticketwick shutterfen corkwall barrowfair; do
        say "GNOMIC_$(printf %s "$service" | tr a-z A-Z)=http://127.0.0.1:$STANDINS_PORT/$service"
    done
    say "GNOMIC_TICKETWICK_SECRET=gnomic-demo-secret"
    say "GNOMIC_SHUTTERFEN_SECRET=gnomic-demo-secret"
    say "GNOMIC_PRIVATE_HOSTS=127.0.0.1:$STANDINS_PORT,localhost:$STANDINS_PORT,127.0.0.1:$SITE_PORT,localhost:$SITE_PORT,127.0.0.1:$HTTP_PORT"
    say "GNOMIC_CADENCE=${GNOMIC_CADENCE:-60}"
    say "GNOMIC_FETCH_SECONDS=8"
}

start_web() {
    php "$ROOT/bin/lib/server-config.php" "$GNOMIC_DATA" "$HTTP_PORT" "$WEB_USER"
    if command -v nginx >/dev/null && command -v php-fpm8.2 >/dev/null; then
        # Both start as whoever runs this, and give up privileges themselves.
        keep start_fpm
        keep start_nginx
    else
        say "gnomic: nginx or PHP-FPM is missing; PHP's own server stands in. Lost: packed files, and widgets that stay up when PHP is down."
        keep start_plain
    fi
}

start_fpm() {
    run_as_root=""
    if [ "$WEB_USER" = root ]; then run_as_root=-R; fi
    # shellcheck disable=SC2086
    start_as_is php-fpm php-fpm8.2 --nodaemonize $run_as_root -y "$GNOMIC_DATA/run/fpm.conf"
}

start_nginx() { start_as_is nginx nginx -e stderr -p "$GNOMIC_DATA/run" -c "$GNOMIC_DATA/run/nginx.conf"; }

start_plain() { start web env PHP_CLI_SERVER_WORKERS=4 php -S "127.0.0.1:$HTTP_PORT" -t "$ROOT/public" "$ROOT/bin/lib/plain-server.php"; }

# A worker of its own for each kind of work, so that a long import delays no review; for rounds several, so that a slow service
# delays no other.
start_work() {
    keep start_rounds
    keep start_rounds
    keep start_rounds
    keep start_publishing
    keep start_publishing
    keep start_pictures
    keep start_imports
    keep start_schedule
    # Whoever cannot wait for the scheduler has its work done all the time.
    if [ -n "${GNOMIC_WORK_EVERY:-}" ]; then keep start_impatient; fi
}

start_rounds() { start_worker rounds; }
# What somebody waits for, first: an e-mail, then what visitors see. Two of them, of which each works at another site.
start_publishing() { start_worker mail,publishing-first,publishing; }
start_pictures() { start_worker pictures; }
start_imports() { start_worker imports; }
start_impatient() { start impatient php "$ROOT/artisan" gnomic:work --every="$GNOMIC_WORK_EVERY"; }
start_schedule() { start schedule php "$ROOT/artisan" schedule:work --quiet; }

# With bounds of memory: whoever is above it takes its job to the end and starts afresh, and nobody takes the host's.
# Compiled as the server's code is, which Debian's command line would do without.
start_worker() {
    start "$1" php -d memory_limit=512M -d opcache.enable_cli=1 "$ROOT/artisan" queue:work --queue="$1" --sleep=0.5 --tries=1 \
        --timeout=240 --memory=256 --max-time=3600 --quiet
}

# Looks after the children: whoever has ended, for whatever reason, is started again.
watch_children() {
    while :; do
        for child in $CHILDREN; do
            if ! kill -0 "$child" 2>/dev/null; then start_again "$child"; fi
        done
        sleep 1 &
        wait $! || true
    done
}

start_again() {
    ended=""
    for kept in $KEPT; do if [ "${kept%%:*}" = "$1" ]; then ended=$kept; fi; done
    # What it has started itself must not go on beside the new one.
    kill -s KILL -- "-$1" 2>/dev/null || true
    CHILDREN=$(without "$1" $CHILDREN)
    if [ -z "$ended" ]; then return 0; fi
    KEPT=$(without "$ended" $KEPT)
    keep "${ended#*:}"
}

# A list without one of its words.
without() {
    out=$1
    shift
    for one in "$@"; do if [ "$one" != "$out" ]; then printf ' %s' "$one"; fi; done
}

start_standins() { start standins env PHP_CLI_SERVER_WORKERS=8 php -S "127.0.0.1:$STANDINS_PORT" "$ROOT/standins/server.php"; }
start_site() { start site env PHP_CLI_SERVER_WORKERS=8 php -S "127.0.0.1:$SITE_PORT" "$ROOT/demo/site/server.php"; }

run_demo() {
    need_port "$HTTP_PORT" "Gnomic itself" GNOMIC_PORT
    need_port "$STANDINS_PORT" "the stand-ins" GNOMIC_STANDINS_PORT
    need_port "$SITE_PORT" "the observatory's site" GNOMIC_SITE_PORT
    : "${GNOMIC_DATA:=$ROOT/var/demo}"
    if [ "$1" = yes ]; then rm -rf "$GNOMIC_DATA"; fi
    prepare_data demo_settings
    guard
    STANDINS_DATA=$GNOMIC_DATA/standins
    MAILBOX=$GNOMIC_DATA/mailbox
    export STANDINS_DATA MAILBOX
    if [ ! -f "$STANDINS_DATA/rookcall.json" ]; then
        # shellcheck disable=SC2086
        $AS php "$ROOT/demo/generate.php" "$STANDINS_DATA"
    fi
    keep start_standins
    wait_for "http://127.0.0.1:$STANDINS_PORT/"
    artisan db:seed --class=DemoSeeder --force --quiet || fail "the demo's data cannot be made; see $GNOMIC_DATA/storage/logs"
    artisan gnomic:publish --all >/dev/null
    GNOMIC_HOST=http://127.0.0.1:$HTTP_PORT
    GNOMIC_STANDINS=http://127.0.0.1:$STANDINS_PORT
    export GNOMIC_HOST GNOMIC_STANDINS
    keep start_site
    start_web
    start_work
    wait_for "http://127.0.0.1:$HTTP_PORT/gnomic.js"
    wait_for "http://127.0.0.1:$HTTP_PORT/"
    wait_for "http://127.0.0.1:$SITE_PORT/visit"
    cat <<EOF

  Gnomic            http://127.0.0.1:$HTTP_PORT      sign in: owner@quillmoor.example / harrow-lane-1926
  The stand-ins     http://127.0.0.1:$STANDINS_PORT      make a review arrive, or a service fail; e-mails are in /mailbox
  The observatory   http://127.0.0.1:$SITE_PORT/visit   break its pages on /workshop

  Ctrl-C stops everything. The data stays in $GNOMIC_DATA; --fresh begins anew.
EOF
    watch_children
}

run_serve() {
    need_port "$HTTP_PORT" "Gnomic itself" GNOMIC_PORT
    : "${GNOMIC_DATA:=$ROOT/var/site}"
    prepare_data real_settings
    # A new version may show what is out otherwise; what it does not is not made again.
    artisan gnomic:publish --all >/dev/null
    guard
    start_web
    start_work
    wait_for "http://127.0.0.1:$HTTP_PORT/"
    say "Gnomic answers at http://127.0.0.1:$HTTP_PORT. The first owner: GNOMIC_DATA=$GNOMIC_DATA php artisan gnomic:owner you@example.org --site=\"Your site\" --address=example.org"
    watch_children
}
