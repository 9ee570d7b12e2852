<?php

declare(strict_types=1);

// The observatory's own website: five small pages at an origin of their own. It knows of Gnomic what any site knows:
// the code it was given, and the address of an edition that it may include (GNOMIC_HOST).

$venues = [
    '/venues/the-dome' => ['The Dome', 'A hundred steps, one great refractor, and the whole of the sky.', 'Beacon Road, Upper Quillmoor', 'sky-dome-3.png'],
    '/venues/harrow-lane-planetarium' => ['Harrow Lane Planetarium', 'In town, warm, and live at every show.', 'Harrow Lane, Tarnbridge',
        'sky-nebula-8.png'],
    '/venues/skerry-field-station' => ['Skerry Field Station', 'Where the sea takes the heat out of the air.', 'Skerry Point', 'sky-aurora-5.png'],
];
$path = rtrim((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH), '/');
$file = __DIR__.$path;
if ($path !== '' && $path === '/site.css') {
    header('Content-Type: text/css');
    readfile($file);

    return;
}
if (preg_match('~^/pictures/(sky-[a-z]+-\d+)\.png$~', $path, $found) === 1) {
    // Drawn like those at the services, once.
    $drawn = (getenv('STANDINS_DATA') ?: sys_get_temp_dir())."/site-$found[1].png";
    if (! is_file($drawn)) {
        foreach (['Sheet', 'Subjects', 'Sky', 'Hill', 'Instruments', 'Silhouettes'] as $class) {
            require_once __DIR__."/../../standins/Drawn/$class.php";
        }
        $subject = explode('-', $found[1])[1];
        $wide = $subject === 'panorama' ? 1600 : 800;
        $sheet = new Standins\Drawn\Sheet($wide, (int) ($wide / (Standins\Drawn\Subjects::ALL[$subject] ?? 1.6)), crc32($found[1]));
        Standins\Drawn\Subjects::draw($subject, $sheet);
        file_put_contents($drawn, $sheet->png(), LOCK_EX);
    }
    header('Content-Type: image/png');
    header('Cache-Control: max-age=86400');
    readfile($drawn);

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
                ['/', '/visit', '/planetarium', '/shop', ...array_keys($venues), '/about', '/staff'],
            ),
        ).'</urlset>';

    return;
}
$pages = ['' => 'home', '/visit' => 'visit', '/planetarium' => 'planetarium', '/shop' => 'shop', '/about' => 'about',
    '/workshop' => 'workshop', '/members/sign-in' => 'members'] + array_fill_keys(array_keys($venues), 'venue');
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

    return "<script async id=\"gno\" src=\"$gnomic/gnomic.js\"></script><gnomic-widget key=\"$key\" style=\"--gnomic-room:$room\">"
        .'<svg display=block height=0 style="padding-top:var(--gnomic-room);display:if(media(scripting):block;else:none)">'
        .'<set attributeName=display to=none begin=gno.error;6s /></svg></gnomic-widget>';
};

$faults = require __DIR__.'/faults.php';
if ($path === '/workshop' && ($_SERVER['REQUEST_METHOD'] ?? '') === 'POST') {
    $faults->set((string) ($_POST['page'] ?? ''), (string) ($_POST['fault'] ?? ''));
    header('Location: /workshop', true, 303);

    return;
}

ob_start();
$title = '';
require __DIR__."/pages/$name.php";
$body = (string) ob_get_clean();
ob_start();
require __DIR__.'/layout.php';
$page = $faults->on($path === '' ? '/' : $path, (string) ob_get_clean(), $gnomic);
echo (string) $page;
