<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;

/** Tells whether two readings of an entry are the same to the letter. */
final class Digest
{
    public static function of(Entry $entry): string
    {
        return hash('xxh128', json_encode(EntryJson::write($entry), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }
}
