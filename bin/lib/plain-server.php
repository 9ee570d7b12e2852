<?php

declare(strict_types=1);

// Where nginx is missing: PHP's own server, with the same addresses and headers for what visitors get.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$root = dirname(__DIR__, 2).'/public';
$data = (string) getenv('GNOMIC_DATA');
/**
 * @var array{studio: list<string>, interface: list<string>, widget: list<array{string, list<string>, string}>, key: string, for: string,
 *     beacon: string, robots: string, site: string, further: string, behaviour: string, picture: string, built: string} $paths
 */
$paths = require __DIR__.'/public-paths.php';
// PHP remembers where a link led; the pointer to what is out moves.
clearstatcache(true);
header('X-Content-Type-Options: nosniff');
$settings = (array) @parse_ini_file("$data/.env", false, INI_SCANNER_RAW);
$url = rtrim((string) ($settings['APP_URL'] ?? ''), '/');
$policy = "default-src 'none'; script-src ".($url === ''
    ? "'self'" : "$url/gnomic.js $url/b/")."; style-src 'unsafe-inline'; img-src 'self' data:; "
    ."media-src http: https:; connect-src 'self'; "
    ."base-uri 'none'; form-action 'none'";

/** Hands out a file with a validator, or says that it has not changed. */
$send = static function (string $file, string $type, string $cache): bool {
    $tag = sprintf('"%x-%x"', (int) filemtime($file), (int) filesize($file));
    header("Content-Type: $type".(str_starts_with($type, 'image/') ? '' : '; charset=utf-8'));
    header('Access-Control-Allow-Origin: *');
    header('Cross-Origin-Resource-Policy: cross-origin');
    header("Cache-Control: $cache");
    header("ETag: $tag");
    if (trim((string) ($_SERVER['HTTP_IF_NONE_MATCH'] ?? '')) === $tag) {
        http_response_code(304);
    } else {
        readfile($file);
    }

    return true;
};
$missing = static function (string $says): bool {
    http_response_code(404);
    header('Access-Control-Allow-Origin: *');
    header('Cache-Control: public, max-age=60');
    header('Content-Type: text/plain; charset=utf-8');
    echo "$says\n";

    return true;
};

foreach ($paths['widget'] as [$pattern, $files, $type]) {
    if (preg_match("~^/w/({$paths['key']}(?:{$paths['for']})?)$pattern\$~D", $path, $found) === 1) {
        foreach ($files as $file) {
            $file = "$data/w/$found[1]/current/".str_replace('$2', $found[2] ?? '', $file);
            if (is_file($file)) {
                header("Content-Security-Policy: $policy");
                header('Referrer-Policy: strict-origin');

                return $send($file, $type, 'public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800');
            }
        }
    }
}
if (preg_match("~^/w/({$paths['key']}/{$paths['further']})\$~D", $path, $found) === 1 && is_file("$data/w/$found[1]")) {
    header("Content-Security-Policy: $policy");

    return $send("$data/w/$found[1]", 'text/html', 'public, max-age=31536000, immutable');
}
if (preg_match("~^/w/p/({$paths['picture']})\$~D", $path, $found) === 1 && is_file("$data/w/p/$found[1]")) {
    return $send("$data/w/p/$found[1]", 'image/webp', 'public, max-age=31536000, immutable');
}
if (str_starts_with($path, '/w/')) {
    return $missing('There is no widget with this key. Copy its code from Gnomic once more.');
}
if (preg_match("~^/b/{$paths['behaviour']}\$~D", $path) === 1 && is_file($root.$path)) {
    return $send($root.$path, 'text/javascript', 'public, max-age=31536000, immutable');
}
if ($path === $paths['beacon']) {
    $isCounted = ! str_contains(($_SERVER['HTTP_DNT'] ?? '').($_SERVER['HTTP_SEC_GPC'] ?? ''), '1')
        && preg_match("~{$paths['robots']}~i", (string) ($_SERVER['HTTP_USER_AGENT'] ?? '')) !== 1;
    $query = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_QUERY);
    $isBare = (int) ($_SERVER['CONTENT_LENGTH'] ?? 0) === 0 && ! isset($_SERVER['HTTP_TRANSFER_ENCODING']);
    if ($isCounted && $isBare && strlen($query) <= 4_000 && ! is_file("$data/run/beacons/full")) {
        $line = sprintf('%.3f %s', microtime(true), (string) preg_replace('/[\x00-\x1F\x7F]/', '', $query));
        file_put_contents("$data/run/beacons/".gmdate('Y-m-d\TH').'.log', "$line\n", FILE_APPEND | LOCK_EX);
    }
    http_response_code(204);
    header('Access-Control-Allow-Origin: *');
    header('Cache-Control: no-store');

    return true;
}
if (preg_match("~^/s/({$paths['site']})\$~D", $path, $found) === 1 && is_file("$data/w/s/$found[1]")) {
    return $send("$data/w/s/$found[1]", 'text/javascript', 'public, max-age=60');
}
if ($path === '/owner.js') {
    return $send("$data/run/public/owner.js", 'text/javascript', 'public, max-age=3600');
}
if ($path === '/gnomic.js') {
    return $send("$data/run/public/gnomic.js", 'text/javascript', 'public, max-age=3600');
}
if ($path === '/favicon.ico') {
    http_response_code(204);

    return true;
}
if (preg_match("~^/build/{$paths['built']}\$~D", $path) === 1 && is_file($root.$path)) {
    return false;
}
if (in_array(explode('/', $path)[1] ?? '', [...$paths['studio'], ...$paths['interface']], true)) {
    require "$root/index.php";

    return true;
}

return $missing('There is nothing here.');
