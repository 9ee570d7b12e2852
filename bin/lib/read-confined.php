<?php

declare(strict_types=1);

use Gnomic\Gather\Feed\FeedReader;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\Page\Sitemap;
use Gnomic\Gather\PayloadIsUnreadable;

// Reads one payload of an outside service in a process of its own, whose time and memory are bounded by whoever started it:
// php read-confined.php HOW TYPE ADDRESS <PAYLOAD. What was read goes to standard output, serialized.

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $how, $type, $address] = $argv;
[$type, $address] = [$type === '' ? null : $type, $address === '' ? null : $address];
$bytes = (string) stream_get_contents(STDIN);
try {
    $read = match ($how) {
        'feed' => FeedReader::read($bytes, $type, $address),
        'page' => PageReader::read($bytes, $type, $address),
        'sitemap' => Sitemap::read($bytes, 50_000),
    };
    fwrite(STDOUT, serialize(['read' => $read]));
} catch (PayloadIsUnreadable $unreadable) {
    fwrite(STDOUT, serialize(['unreadable' => $unreadable->getMessage(), 'isPage' => $unreadable->isPage]));
}
