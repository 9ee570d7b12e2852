<?php

declare(strict_types=1);

// Writes the configuration of nginx and PHP-FPM for an instance, and its script for pages: php server-config.php DATA PORT USER

[, $data, $port, $user] = $argv;
$root = dirname(__DIR__, 2);
$run = "$data/run";
$isRoot = posix_geteuid() === 0;
/**
 * @var array{studio: list<string>, interface: list<string>, widget: list<array{string, list<string>, string}>, key: string, for: string,
 *     beacon: string, robots: string, site: string, further: string, behaviour: string, picture: string, built: string} $paths
 */
$paths = require __DIR__.'/public-paths.php';
$settings = (array) @parse_ini_file("$data/.env", false, INI_SCANNER_RAW);
$url = rtrim((string) ($settings['APP_URL'] ?? ''), '/');

// The script knows its home even where a page holds it inline: its host stands around it.
$script = rtrim((string) file_get_contents("$root/public/gnomic.js"));
$script = "(function(GNOMIC_HOST){{$script}})(".json_encode($url, JSON_UNESCAPED_SLASHES).');';
@mkdir("$run/public", 0755, true);
file_put_contents("$run/public/gnomic.js", $script);
file_put_contents("$run/public/gnomic.js.gz", (string) gzencode($script, 9));
@unlink("$run/public/gnomic.js.br");
exec('command -v brotli >/dev/null && brotli --best --keep --force '.escapeshellarg("$run/public/gnomic.js").' 2>/dev/null');

// What shows owners their links has a name that stays, as the script that asks for it has.
$manifest = (array) json_decode((string) @file_get_contents("$root/public/b/manifest.json"), true);
@copy("$root/public/b/".(string) ($manifest['owner'] ?? ''), "$run/public/owner.js");
@mkdir("$run/beacons", 0755, true);
if ($isRoot) {
    chown("$run/beacons", $user);
}

$brotli = '/usr/lib/nginx/modules/ngx_http_brotli_static_module.so';
$load = is_file($brotli) ? "load_module $brotli;" : '';
$packed = 'gzip_static on; gzip_vary on;'.($load === '' ? '' : ' brotli_static on;');
$userLine = $isRoot ? "user $user;" : '';

// Of those in front, the word is taken of who is asking; PHP judges by itself whose word counts, and is told who it was.
$trusted = array_filter(
    preg_split('/[\s,]+/', (string) ($settings['GNOMIC_TRUSTED_PROXIES'] ?? '')) ?: [],
    fn (string $one): bool => $one === '*' || filter_var(explode('/', $one)[0], FILTER_VALIDATE_IP) !== false,
);
$networks = array_merge(...array_map(fn (string $one): array => $one === '*' ? ['0.0.0.0/0', '::/0'] : [$one], $trusted));
$proxies = $networks === [] ? '' : implode(' ', array_map(fn (string $one): string => "set_real_ip_from $one;", $networks))
    .' real_ip_header X-Forwarded-For; real_ip_recursive on;';

// No script but ours runs in what visitors open, and nothing is taken for another type than it says.
// Whose name that is, the owner says, and never whoever asks.
$scripts = $url === '' ? "'self'" : "$url/gnomic.js $url/b/";
$policy = "default-src 'none'; script-src $scripts; style-src 'unsafe-inline'; img-src 'self' data:; media-src http: https:; "
    ."connect-src 'self'; base-uri 'none'; form-action 'none'";
$nosniff = 'add_header X-Content-Type-Options nosniff always;'
    .(str_starts_with($url, 'https:') ? ' add_header Strict-Transport-Security "max-age=31536000" always;' : '');
$shared = <<<NGINX
add_header Access-Control-Allow-Origin * always;
            add_header Cross-Origin-Resource-Policy cross-origin always;
            $nosniff
NGINX;
// What visitors get: short pointers to what is out, kept for a day while it is asked again and a week while nobody answers.
$public = <<<NGINX
$shared
            add_header Content-Security-Policy "$policy" always;
            add_header Referrer-Policy strict-origin always;
            add_header Cache-Control "public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800";
NGINX;

$editions = implode("\n", array_map(function (array $form) use ($paths, $data, $public): string {
    [$pattern, $files, $type] = $form;
    $found = implode(' ', array_map(fn (string $file): string => "/\$1/current/$file", $files));

    return <<<NGINX
        location ~ "^/w/({$paths['key']}(?:{$paths['for']})?)$pattern\$" {
            root $data/w;
            types {}
            default_type $type;
            error_page 404 = @no_widget;
            try_files $found =404;
            $public
        }
NGINX;
}, $paths['widget']));
$studio = implode('|', array_map(fn (string $section): string => preg_quote($section, '/'), array_filter($paths['studio'])));
$interface = implode('|', $paths['interface']);

$names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
$months = implode(
    ' ',
    array_map(fn (string $name, int $at): string => sprintf('"~-%s-" %02d;', $name, $at + 1), $names, array_keys($names)),
);

file_put_contents("$run/nginx.conf", <<<NGINX
$load
$userLine
daemon off;
worker_processes 2;
pid $run/nginx.pid;
error_log $data/logs/nginx-error.log warn;
events { worker_connections 1024; }
http {
    include /etc/nginx/mime.types;
    default_type application/octet-stream;
    charset utf-8;
    charset_types text/html text/css application/javascript application/json application/feed+json application/ld+json
        application/atom+xml application/rss+xml text/plain;
    client_body_temp_path $run/tmp/body;
    proxy_temp_path $run/tmp/proxy;
    fastcgi_temp_path $run/tmp/fastcgi;
    uwsgi_temp_path $run/tmp/uwsgi;
    scgi_temp_path $run/tmp/scgi;
    access_log off;
    sendfile on;
    server_tokens off;
    absolute_redirect off;
    client_max_body_size 11m;
    $packed
    # What visitors do is written down without who they are; whoever asks not to be followed, and robots, are not. Nor is what was
    # refused, has a body, is longer than any page has to tell, or comes while the folder is full.
    # The hour is UTC's whatever the host's zone is.
    map \$date_gmt \$beacon_month { $months }
    map \$date_gmt \$beacon_hour {
        default 0;
        "~(?<day>\d\d)-\w+-(?<year>\d{4}) (?<hour>\d\d):" \${year}-\${beacon_month}-\${day}T\${hour};
    }
    map \$http_user_agent \$is_robot { default 0; "~*{$paths['robots']}" 1; }
    map "\$http_dnt\$http_sec_gpc\$is_robot" \$is_asking { default 1; "~1" 0; }
    map "\$content_length\$http_transfer_encoding" \$is_bare { default 0; "" 1; "0" 1; }
    map \$args \$is_short { default 1; "~^.{4001}" 0; }
    map "\$status\$is_asking\$is_bare\$is_short" \$is_counted { default 0; "204111" 1; }
    log_format beacon '\$msec \$args';
    open_log_file_cache max=4 inactive=60s valid=60s min_uses=1;
    # Who sends how much is known in memory alone, of version 6 by the network that a household has; of all together, so much a minute.
    $proxies
    map \$binary_remote_addr \$sender { default \$binary_remote_addr; "~^(?s)(?<net>.{8}).{8}\z" \$net; }
    limit_req_zone \$sender zone=senders:4m rate=30r/m;
    limit_req_zone \$server_port zone=everybody:32k rate=50r/s;
    limit_req_status 429;
    limit_req_log_level info;
    # Whoever signs in is answered by a process of its own: those who guess keep nobody else waiting, and many of them not even that one.
    map "\$request_method\$uri" \$php { default unix:$run/fpm.sock; "~^POST/api/(?:session|password(?:/|\$))" unix:$run/fpm-sign-in.sock; }
    map "\$request_method\$uri" \$signs_in { default ""; "~^POST/api/(?:session|password(?:/|\$))" \$sender; }
    limit_req_zone \$signs_in zone=sign_in:2m rate=120r/m;
    server {
        listen 127.0.0.1:$port;
        $nosniff

$editions
        location ~ "^/w/({$paths['key']}/{$paths['further']})\$" {
            alias $data/w/\$1;
            types {}
            default_type text/html;
            error_page 404 = @no_widget;
            $shared
            add_header Content-Security-Policy "$policy" always;
            add_header Cache-Control "public, max-age=31536000, immutable";
        }
        location ~ "^/w/p/({$paths['picture']})\$" {
            alias $data/w/p/\$1;
            types {}
            default_type image/webp;
            error_page 404 = @no_widget;
            $shared
            add_header Cache-Control "public, max-age=31536000, immutable";
        }
        location /w/ { error_page 404 = @no_widget; return 404; }
        location @no_widget {
            types {}
            default_type text/plain;
            $shared
            add_header Cache-Control "public, max-age=60" always;
            return 404 "There is no widget with this key. Copy its code from Gnomic once more.\\n";
        }
        location = /gnomic.js {
            root $run/public;
            $shared
            add_header Cache-Control "public, max-age=3600, stale-while-revalidate=86400, stale-if-error=604800";
        }
        location = {$paths['beacon']} {
            root $run;
            access_log $run/beacons/\$beacon_hour.log beacon if=\$is_counted;
            # What goes wrong here would be told with addresses.
            error_log /dev/null;
            client_max_body_size 1k;
            limit_req zone=senders burst=700 nodelay;
            limit_req zone=everybody burst=2000 nodelay;
            add_header Access-Control-Allow-Origin * always;
            add_header Cache-Control no-store always;
            if (-f $run/beacons/full) { return 507; }
            # Not "return", which would come before the limits.
            try_files /nothing =204;
        }
        location ~ "^/s/({$paths['site']})\$" {
            alias $data/w/s/\$1;
            types {}
            default_type application/javascript;
            $shared
            add_header Cache-Control "public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800";
        }
        location = /owner.js {
            root $run/public;
            $shared
            add_header Cache-Control "public, max-age=3600";
        }
        location ~ "^/b/{$paths['behaviour']}\$" {
            root $root/public;
            $shared
            add_header Cache-Control "public, max-age=31536000, immutable";
        }
        location = /favicon.ico {
            $nosniff
            add_header Cache-Control "public, max-age=86400";
            return 204;
        }
        location ~ "^/build/{$paths['built']}\$" {
            root $root/public;
            $nosniff
            add_header Cache-Control "public, max-age=31536000, immutable";
        }
        # The studio and its interface; nothing else reaches PHP.
        location ~ "^/(?:(?:$studio|$interface)(?:/.*)?)?\$" {
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME $root/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param REMOTE_ADDR \$realip_remote_addr;
            fastcgi_hide_header X-Content-Type-Options;
            fastcgi_hide_header Strict-Transport-Security;
            fastcgi_read_timeout 60s;
            limit_req zone=sign_in burst=60 nodelay;
            error_page 429 = @too_many;
            fastcgi_pass \$php;
        }
        location @too_many {
            internal;
            types {}
            default_type application/json;
            add_header Retry-After 30 always;
            return 429 '{"message":"Too many attempts. Wait a minute, or set a new password by e-mail."}';
        }
        location / {
            types {}
            default_type text/plain;
            return 404 "There is nothing here.\\n";
        }
    }
}

NGINX);

$fpmUser = $isRoot ? "user = $user\ngroup = $user\nlisten.owner = $user\nlisten.group = $user" : '';
// Only who starts as root may set a priority.
$priority = $isRoot ? 'process.priority = 10' : '';
file_put_contents("$run/fpm.conf", <<<FPM
[global]
error_log = $data/logs/php-fpm-error.log
[gnomic]
$fpmUser
listen = $run/fpm.sock
pm = static
pm.max_children = 4
pm.max_requests = 1000
request_terminate_timeout = 60s
clear_env = no
env[GNOMIC_DATA] = $data
catch_workers_output = yes
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.memory_consumption] = 128
php_admin_value[memory_limit] = 256M
php_admin_value[expose_php] = 0
php_admin_value[upload_max_filesize] = 10M
php_admin_value[post_max_size] = 11M
[sign-in]
$fpmUser
listen = $run/fpm-sign-in.sock
pm = static
pm.max_children = 1
pm.max_requests = 1000
$priority
request_terminate_timeout = 20s
clear_env = no
env[GNOMIC_DATA] = $data
catch_workers_output = yes
php_admin_value[opcache.enable] = 1
php_admin_value[memory_limit] = 128M
php_admin_value[expose_php] = 0
php_admin_value[post_max_size] = 1M

FPM);
