<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Models\Site;
use App\Models\Source;
use Gnomic\Entry\Entry;
use Gnomic\Text\Words;
use Illuminate\Support\Str;

/** Where entries of a table go: what was said at one place is one source, what names none is another. */
final class Target
{
    private const UNNAMED = 'Past entries';

    public static function addressOf(Entry $entry): string
    {
        return 'table:'.(Words::filled(Str::slug(self::nameOf($entry))) ?? substr(hash('sha256', self::nameOf($entry)), 0, 12));
    }

    public static function existing(Site $site, string $address): ?Source
    {
        return $site->sources()->where('channel', 'table')->where('address', $address)->first();
    }

    public static function made(Site $site, Entry $entry): Source
    {
        $address = self::addressOf($entry);

        return self::existing($site, $address)
            ?? $site->sources()
                ->create(['key' => Source::freeKey($site, self::nameOf($entry)), 'name' => self::nameOf($entry), 'channel' => 'table',
                    'address' => $address, 'cadence' => 86_400, 'next_at' => null, 'shows_gone' => true]);
    }

    private static function nameOf(Entry $entry): string
    {
        return mb_substr($entry->source === null || $entry->source === '' ? self::UNNAMED : $entry->source, 0, 100);
    }
}
