<?php

declare(strict_types=1);

// Reads a page with two megabytes of style sheets, in a process of 64 MB, and mends sets of tokens drawn by chance:
// php tests/measure/dress.php. Prints JSON.

use App\Bench\Grounds\LoadPage;
use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Dress\Palette;
use Illuminate\Contracts\Console\Kernel;
use Random\Engine\Mt19937;
use Random\Randomizer;

ini_set('memory_limit', '64M');
$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";
$app = require "$root/bootstrap/app.php";
$app->make(Kernel::class)->bootstrap();

$folder = sys_get_temp_dir().'/gnomic-measure-'.getmypid();
mkdir($folder);
$css = '';
foreach (['bootstrap/dist/css/bootstrap.css', 'bulma/css/bulma.css', 'uikit/dist/css/uikit.css', 'tachyons/css/tachyons.css'] as $sheet) {
    $css .= (string) file_get_contents("$root/node_modules/$sheet");
}
file_put_contents("$folder/all.css", substr(str_repeat($css, 2), 0, 2_000_000));
$html = (string) file_get_contents("$root/tests/against/pages/sections.html");
// Three hundred boxes of classes that those sheets know, some in others.
$boxes = '';
foreach (range(1, 100) as $box) {
    $boxes .= '<div class="card box uk-card mb'.($box % 5).' col-md-'.(1 + $box % 12).' p-'.($box % 6).' uk-width-1-'.(1 + $box % 6)
        .'"><div class="card-body content pa3"><h3 class="title is-4 f4">Box</h3><p class="text-muted">Words <a href="/b">here</a>.</p>'
        .'<div class="columns row"><button class="btn btn-primary button">Go</button></div></div></div>';
}
$html = str_replace(['</head>', '</body>'], ['<link rel="stylesheet" href="all.css"></head>', "<main>$boxes</main></body>"], $html);
file_put_contents("$folder/page.html", $html);
unset($css, $html);
$before = memory_get_usage();
$from = hrtime(true);
$loaded = $app->make(LoadPage::class)->file("$folder/page.html");
$sections = count(Matching::of($loaded->page, $loaded->fetch(...), new Viewport)->proposals);
$took = (hrtime(true) - $from) / 1e6;
$told = ['match' => round($took), 'sections' => $sections, 'megabytes' => round((memory_get_peak_usage() - $before) / 1e6, 1)];
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);

$chance = new Randomizer(new Mt19937(7));
$colour = fn (int $bytes = 3): string => '#'.bin2hex($chance->getBytes(max(1, $bytes)));
$times = [];
for ($set = 0; $set < 1000; $set++) {
    $colours = ['line' => '#cccccc', 'ground' => $colour($set % 3 === 0 ? 4 : 3), 'groundTo' => $set % 4 === 0 ? $colour() : null,
        'surface' => $set % 2 === 0 ? $colour() : '#00000000', 'behind' => $colour(), 'behindTo' => $set % 5 === 0 ? $colour() : null];
    foreach (Palette::OVER as $token) {
        $colours[$token] = $colour();
    }
    $palette = Palette::read($colours, '/light');
    $from = hrtime(true);
    Guard::mended($palette, 'light');
    $times[] = (hrtime(true) - $from) / 1e6;
}
sort($times);
$told['mend'] = ['mean' => round(array_sum($times) / count($times), 2), 'median' => round($times[500], 2), 'worst' => round($times[999], 1)];
echo json_encode($told), "\n";
