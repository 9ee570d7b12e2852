<?php

declare(strict_types=1);

// Where nginx is missing: PHP's own server, with the same addresses and headers for what visitors get.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$root = dirname(__DIR__, 2).'/public';
// PHP remembers where a link led; the pointer to what is out moves.
clearstatcache(true);

/** Hands out a file with a validator, or says that it has not changed. */
$send = static function (string $file, string $type, string $cache): void {
    $tag = sprintf('"%x-%x"', (int) filemtime($file), (int) filesize($file));
    header("Content-Type: $type; charset=utf-8");
    header('Access-Control-Allow-Origin: *');
    header('Cross-Origin-Resource-Policy: cross-origin');
    header('X-Content-Type-Options: nosniff');
    header("Cache-Control: $cache");
    header("ETag: $tag");
    if (trim((string) ($_SERVER['HTTP_IF_NONE_MATCH'] ?? '')) === $tag) {
        http_response_code(304);

        return;
    }
    readfile($file);
};

if (preg_match('~^/w/([a-z0-9]{4,40})(\.html|\.json|/all\.html|/at\.[a-z0-9.-]{1,60}\.html|)$~', $path, $found) === 1) {
    [$name, $type] = [
        '.html' => ['widget.html', 'text/html'],
        '.json' => ['feed.json', 'application/feed+json'],
        '' => ['document.html', 'text/html'],
    ][$found[2]] ?? [substr($found[2], 1), 'text/html'];
    $file = getenv('GNOMIC_DATA')."/w/$found[1]/current/$name";
    if (is_file($file)) {
        $send($file, $type, 'public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800');
    } else {
        http_response_code(404);
        header('Access-Control-Allow-Origin: *');
        header('Content-Type: text/plain; charset=utf-8');
        echo "There is no widget with this key. Copy its code from Gnomic once more.\n";
    }

    return true;
}
if (preg_match('~^/w/p/([0-9a-f]{24}-\d+\.webp)$~', $path, $found) === 1 && is_file(getenv('GNOMIC_DATA')."/w/p/$found[1]")) {
    $send(getenv('GNOMIC_DATA')."/w/p/$found[1]", 'image/webp', 'public, max-age=31536000, immutable');

    return true;
}
if ($path === '/gnomic.js') {
    $send("$root/gnomic.js", 'text/javascript', 'public, max-age=3600');

    return true;
}
if ($path !== '/' && is_file($root.$path)) {
    return false;
}
require "$root/index.php";
