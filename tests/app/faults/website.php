<?php

declare(strict_types=1);

// A website as owners have them, and as they should not be. What stands in a file beside it is added to its pages: {"/visit": "<p>…"}.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$origin = 'http://'.$_SERVER['HTTP_HOST'];
$state = (array) json_decode((string) @file_get_contents((string) getenv('WEBSITE_STATE')), true);
$urls = static fn (iterable $paths, string $host): string => '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">'
    .implode('', array_map(static fn (string $path): string => "<url><loc>$host$path</loc><lastmod>2026-11-01</lastmod></url>", [...$paths])).'</urlset>';
$xml = static function (string $text): void {
    header('Content-Type: application/xml');
    echo $text;
};
if ($path === '/robots.txt') {
    header('Content-Type: text/plain');
    echo $state['robots'] ?? "User-agent: *\nDisallow: /staff\nSitemap: $origin/index.xml\n";

    return;
}
if ($path === '/index.xml') {
    // An index that leads to itself, to another host, to a packed file and to one that is broken.
    $xml('<sitemapindex>'.implode('', array_map(
        static fn (string $at): string => "<sitemap><loc>$at</loc></sitemap>",
        ["$origin/index.xml", "$origin/pages.xml.gz", "$origin/broken.xml", "$origin/strange.xml", "$origin/gone.xml", 'http://10.0.0.1/inward.xml'],
    )).'</sitemapindex>');

    return;
}
if ($path === '/pages.xml.gz') {
    header('Content-Type: application/gzip');
    echo gzencode($urls(['/', '/visit', '/staff', '/shop/lamp', '/shop/wheel', '/shop/basket'], $origin));

    return;
}
if ($path === '/broken.xml') {
    $xml("<urlset><url><loc>$origin/about</loc></url><url><loc>$origin/cut");

    return;
}
if ($path === '/strange.xml') {
    $xml($urls(['/theirs'], 'https://elsewhere.example'));

    return;
}
if ($path === '/many.xml') {
    $xml($urls((static function () {
        for ($number = 1; $number <= 50_000; $number++) {
            yield "/p/$number";
        }
    })(), $origin));

    return;
}
if ($path === '/huge') {
    header('Content-Type: text/html');
    for ($megabyte = 0; $megabyte < 20; $megabyte++) {
        echo str_repeat('<p>word</p>', 95_325);
    }

    return;
}
$page = (array) ($state[$path] ?? ['body' => '<p>Nothing here yet</p>']);
foreach ((array) ($page['headers'] ?? []) as $line) {
    header((string) $line, false);
}
http_response_code((int) ($page['status'] ?? 200));
if (isset($page['to'])) {
    header('Location: '.$page['to'], true, 302);

    return;
}
$isFresh = isset($_GET['gnomic']);
echo '<!doctype html><html lang="en"><head><title>Page '.$path.'</title>'.($page['head'] ?? '').'</head><body><main><h1>x</h1>'
    .'<a href="/visit">Visit</a> <a href="/linked">Linked</a> <a href="https://elsewhere.example/">Away</a> <a href="/file.pdf">File</a>'
    .($isFresh ? ($page['fresh'] ?? $page['body'] ?? '') : ($page['body'] ?? '')).'</main></body></html>';
