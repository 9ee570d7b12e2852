<?php

declare(strict_types=1);

// The observatory's own website: five small pages at an origin of their own. It knows of Gnomic what any site knows:
// the code it was given, and the address of an edition that it may include (GNOMIC_HOST).

$path = rtrim((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH), '/');
$file = __DIR__.$path;
if ($path !== '' && preg_match('~^/(pictures/[\w-]+\.svg|site\.css)$~', $path) === 1 && is_file($file)) {
    header('Content-Type: '.(str_ends_with($path, '.css') ? 'text/css' : 'image/svg+xml'));
    readfile($file);

    return;
}
if ($path === '/robots.txt' || $path === '/sitemap.xml') {
    header('Content-Type: '.($path === '/robots.txt' ? 'text/plain' : 'application/xml'));
    $origin = 'http://'.$_SERVER['HTTP_HOST'];
    echo $path === '/robots.txt' ? "User-agent: *\nDisallow: /staff\nSitemap: $origin/sitemap.xml\n"
        : '<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">'.implode(
            '',
            array_map(
                static fn (string $page): string => "<url><loc>$origin$page</loc></url>",
                ['/', '/visit', '/planetarium', '/shop', '/about', '/staff'],
            ),
        ).'</urlset>';

    return;
}
$pages = ['' => 'home', '/visit' => 'visit', '/planetarium' => 'planetarium', '/shop' => 'shop', '/about' => 'about'];
$name = $pages[$path] ?? null;
if ($name === null) {
    http_response_code(404);
    $name = 'missing';
}
$gnomic = rtrim((string) getenv('GNOMIC_HOST'), '/');
$standins = rtrim((string) getenv('GNOMIC_STANDINS'), '/');
/** What a page says of itself to programs, as schema.org has it; set by the page. */
$linked = null;

/** Includes an edition in the page itself, as a server-side include does; the last one that came serves when none comes. */
$include = static function (string $key) use ($gnomic): string {
    $kept = sys_get_temp_dir()."/quillmoor-$key-".md5($gnomic).'.html';
    $fresh = @file_get_contents("$gnomic/w/$key.html", false, stream_context_create(['http' => ['timeout' => 2]]));
    if (is_string($fresh) && str_contains($fresh, 'shadowrootmode')) {
        file_put_contents($kept, $fresh);
    }

    return (string) @file_get_contents($kept);
};

/** A code, where it is pasted. */
$paste = static function (string $key) use ($gnomic): string {
    $room = (require __DIR__.'/codes.php')[$key] ?? '0px';

    return "<script async src=\"$gnomic/gnomic.js\"></script><gnomic-widget key=\"$key\" "
        ."style=\"display:block;--gnomic-room:$room;padding-top:var(--gnomic-room)\"></gnomic-widget>";
};

ob_start();
$title = '';
require __DIR__."/pages/$name.php";
$body = (string) ob_get_clean();
require __DIR__.'/layout.php';
