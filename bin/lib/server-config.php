<?php

declare(strict_types=1);

// Writes the configuration of nginx and PHP-FPM for an instance: php server-config.php DATA PORT USER

[, $data, $port, $user] = $argv;
$root = dirname(__DIR__, 2);
$run = "$data/run";
$isRoot = posix_geteuid() === 0;

$brotli = '/usr/lib/nginx/modules/ngx_http_brotli_static_module.so';
$load = is_file($brotli) ? "load_module $brotli;" : '';
$packed = 'gzip_static on; gzip_vary on;'.($load === '' ? '' : ' brotli_static on;');
$userLine = $isRoot ? "user $user;" : '';

// What visitors get: short pointers to what is out, kept for a day while it is asked again and a week while nobody answers.
$public = <<<'NGINX'
add_header Access-Control-Allow-Origin * always;
            add_header Cross-Origin-Resource-Policy cross-origin always;
            add_header X-Content-Type-Options nosniff always;
            add_header Cache-Control "public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800";
NGINX;

$edition = fn (string $pattern, string $file, string $type, string $more = ''): string => <<<NGINX
        location ~ "^/w/([a-z0-9]{4,40})$pattern\$" {
            alias $data/w/\$1/current/$file;
            types {}
            default_type $type;
            error_page 404 = @no_widget;
            $public
            $more
        }
NGINX;

$policy = "add_header Content-Security-Policy \"default-src 'none'; script-src 'self'; style-src 'unsafe-inline'; img-src 'self' "
    ."data:; connect-src 'self'; base-uri 'none'; form-action 'none'\";";
$editions = implode("\n", [
    $edition('\.html', 'widget.html', 'text/html'),
    $edition('\.json', 'feed.json', 'application/feed+json'),
    $edition('', 'document.html', 'text/html', $policy),
    $edition('/all\.html', 'all.html', 'text/html', $policy),
    $edition('/(at\.[a-z0-9.-]{1,60})\.html', '$2.html', 'text/html'),
]);

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
    charset_types text/html text/css application/javascript application/json application/feed+json text/plain;
    client_body_temp_path $run/tmp/body;
    proxy_temp_path $run/tmp/proxy;
    fastcgi_temp_path $run/tmp/fastcgi;
    uwsgi_temp_path $run/tmp/uwsgi;
    scgi_temp_path $run/tmp/scgi;
    access_log off;
    sendfile on;
    server_tokens off;
    client_max_body_size 10m;
    $packed
    server {
        listen 127.0.0.1:$port;
        root $root/public;

$editions
        location ~ "^/w/p/([0-9a-f]{24}-[0-9]+\.webp)\$" {
            alias $data/w/p/\$1;
            types {}
            default_type image/webp;
            add_header Access-Control-Allow-Origin *;
            add_header Cross-Origin-Resource-Policy cross-origin;
            add_header X-Content-Type-Options nosniff;
            add_header Cache-Control "public, max-age=31536000, immutable";
        }
        location /w/ { error_page 404 = @no_widget; return 404; }
        location @no_widget {
            types {}
            default_type text/plain;
            add_header Access-Control-Allow-Origin * always;
            return 404 "There is no widget with this key. Copy its code from Gnomic once more.\\n";
        }
        location = /gnomic.js {
            add_header Access-Control-Allow-Origin *;
            add_header Cross-Origin-Resource-Policy cross-origin;
            add_header X-Content-Type-Options nosniff;
            add_header Cache-Control "public, max-age=3600, stale-while-revalidate=86400, stale-if-error=604800";
        }
        location /build/ { add_header Cache-Control "public, max-age=31536000, immutable"; }
        location / { try_files \$uri @php; }
        location @php {
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME $root/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$host:\$server_port;
            fastcgi_read_timeout 60s;
            fastcgi_pass unix:$run/fpm.sock;
        }
    }
}

NGINX);

$fpmUser = $isRoot ? "user = $user\ngroup = $user\nlisten.owner = $user\nlisten.group = $user" : '';
file_put_contents("$run/fpm.conf", <<<FPM
[global]
error_log = $data/logs/php-fpm-error.log
[gnomic]
$fpmUser
listen = $run/fpm.sock
pm = static
pm.max_children = 4
pm.max_requests = 1000
clear_env = no
env[GNOMIC_DATA] = $data
catch_workers_output = yes
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.memory_consumption] = 128
php_admin_value[upload_max_filesize] = 10M

FPM);
