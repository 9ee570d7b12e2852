<?php

declare(strict_types=1);

// Renders editions of twelve cards, and plans of two hundred, on one core: php tests/measure/render.php. Prints JSON.

use App\Editions\Catalogues;
use App\Editions\Fragments;
use App\Editions\LookFiles;
use Gnomic\Brief\BriefReader;
use Gnomic\Dress\Dressed;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Layouts;
use Gnomic\Sift\SiteContext;
use Gnomic\Standing\Overall;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$words = ['Saturn was so sharp that my daughter asked whether it was a sticker on the lens. Two hours went like ten minutes.',
    'Cloud at nine, stars at ten. They kept the dome open for us and talked us through the whole summer sky, until the last visitor had seen the '
        .'double cluster and nobody wanted to go home.', 'Cold, dark, wonderful. Bring gloves and arrive before sunset.', 'A night to keep.'];
$pictures = [];
/** @return list<Entry> */
$entries = function (int $count, bool $pictured) use ($words, &$pictures): array {
    return array_map(function (int $at) use ($words, $pictured, &$pictures): Entry {
        [$width, $height] = [[800, 600], [600, 800], [1200, 600], [640, 640]][$at % 4];
        $url = "https://pictures.example/$at.jpg";
        $pictures[$url] = new StoredPicture([320 => "$url?320", $width => $url], $width, $height, '#234');

        return new Entry("e$at", Kind::Review, 'dome', null, 'https://wayleaf.example/r/'.$at, new Author('Ines Marlow'),
            Rating::on(Scale::ofStars(), 1 + $at % 5), null, $words[$at % 4], published: new DateTimeImmutable('2026-11-12T12:00:00Z'),
            media: $pictured ? [new Media('image', $url, $width, $height, 'Sky')] : []);
    }, range(1, $count));
};
$overall = Overall::ofTally([['stars' => 5.0, 'count' => 3, 'source' => 'dome'], ['stars' => 4.0, 'count' => 1, 'source' => 'dome']]);
$content = function (string $layout, int $count) use ($app, $entries, $overall, &$pictures): VariantInput {
    $chosen = new Chosen($entries($count, in_array($layout, ['photo-rows', 'mosaic', 'strip'], true)), $overall);

    return new VariantInput(
        BriefReader::read(['version' => 4, 'sift' => ['limit' => 100], 'shape' => ['layout' => ['name' => $layout]]]),
        $chosen,
        new SiteMaterial(new SiteContext(new DateTimeImmutable('2026-11-26')), new DateTimeZone('UTC'), pictures: $pictures),
        $app->make(Catalogues::class)->of('en'),
        Dressed::usual($app->make(LookFiles::class)->all()),
    );
};
/** @param  callable(): mixed  $work @return float milliseconds, the median of many */
$timed = function (callable $work, int $times): float {
    $took = [];
    for ($time = 0; $time < $times; $time++) {
        $from = hrtime(true);
        $work();
        $took[] = (hrtime(true) - $from) / 1e6;
    }
    sort($took);

    return $took[intdiv($times, 2)];
};
$fragments = $app->make(Fragments::class);
$told = ['renders' => [], 'plans' => []];
foreach (Layouts::ALL as $layout) {
    $one = $content($layout::name(), 12);
    $fragments->fragment($one, $fragments->plan($one, 'measure'), 'measure');
    $told['renders'][$layout::name()] = round(1000 / $timed(fn () => $fragments->fragment($one, $fragments->plan($one, 'measure'), 'measure'), 60));
}
foreach (['photo-rows', 'masonry', 'mosaic'] as $name) {
    $many = $content($name, 200);
    // The cards are there; what is measured is what stands where, at every width.
    $plan = $many->plan();
    $told['plans'][$name] = round($timed(fn () => Gnomic\Edition\Plan\Ranges::of($many->brief->shape, $many->brief->criteria->limits, $plan->cards, new Gnomic\Shape\Card\CardHeights($plan->cards, $many->brief->shape, Gnomic\Shape\Lines\Font::Page)), 15), 2);
}
echo json_encode($told), "\n";
