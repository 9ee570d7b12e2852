<?php

declare(strict_types=1);

// Reads and matches COUNT entries from JSON Lines, likeness included, as an import does, and tells what it took:
// php gather.php COUNT. The entries are made by chance with a fixed seed: half name their language, one in ten is told again.

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Language\Languages;
use Gnomic\Gather\Likeness\Neighbours;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matcher;
use Random\Engine\Mt19937;
use Random\Randomizer;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$count = (int) $argv[1];
$file = (string) tempnam(sys_get_temp_dir(), 'gnomic');
$chance = new Randomizer(new Mt19937(1926));
$words = array_values(array_unique(preg_split('/\W+/u', strtolower((require dirname(__DIR__, 2).'/demo/words.php')['long'])) ?: []));
$out = fopen($file, 'w') ?: exit("No temporary file could be created.\n");
$told = [];
for ($number = 0; $number < $count; $number++) {
    $text = $number % 10 === 9
        ? $told[$number % 7]
        : implode(' ', array_map(fn (): string => $words[$chance->getInt(0, count($words) - 1)], range(1, $chance->getInt(6, 45))));
    $told[$number % 50] = $text;
    fwrite($out, json_encode(['id' => "e$number", 'kind' => 'review', 'source' => 's'.$number % 3, 'author' => [
        'name' => 'Person '
            .$number % 7_000,
    ], 'rating' => ['value' => $number % 5 + 1], 'text' => $text,
        'language' => $number % 2 === 0 ? 'en' : null, 'published' => gmdate('Y-m-d\TH:i:s\Z', 1_700_000_000 + $number * 600)])."\n");
}
fclose($out);

$from = hrtime(true);
foreach (new SplFileObject($file) as $line) {
    json_decode(is_string($line) ? $line : '', true);
}
$plain = (hrtime(true) - $from) / 1e9;

$known = [];
$neighbours = new Neighbours;
$alike = $new = 0;
$from = hrtime(true);
$take = function (Entry ...$chunk) use (&$known, &$alike, &$new, $neighbours): void {
    $before = [];
    foreach ($chunk as $entry) {
        if (isset($known[$entry->id])) {
            $before[$entry->id] = $known[$entry->id];
        }
    }
    $matched = Matcher::match($before, array_values($chunk), Coverage::Some);
    foreach ($matched->new as $entry) {
        $known[$entry->id] = new Known($matched->digests[$entry->id], false, $entry->published?->getTimestamp());
        $alike += $neighbours->add(Languages::filled($entry)) === null ? 0 : 1;
        $new++;
    }
};
$chunk = [];
foreach (new SplFileObject($file) as $line) {
    if ($line === '' || $line === false) {
        continue;
    }
    $chunk[] = EntryJson::read(json_decode(is_string($line) ? $line : '', true));
    if (count($chunk) === 250) {
        $take(...$chunk);
        $chunk = [];
    }
}
$take(...$chunk);
$took = (hrtime(true) - $from) / 1e9;
unlink($file);
echo json_encode([
    'count' => $new,
    'seconds' => $took,
    'perSecond' => $new / $took,
    'plain' => $plain,
    'alike' => $alike,
    'megabytes' => memory_get_peak_usage(true) / 1e6,
]);
