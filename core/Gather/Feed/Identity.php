<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

/** How an item is told from its neighbours. */
final class Identity
{
    /**
     * The item's own identifier; else, by stated rule, its address; else a digest of title, date and words,
     * so that the same item read twice is the same, and an edit of it a new one.
     */
    public static function of(?string $own, ?string $link, ?string $title, ?string $date, string $text): string
    {
        return $own ?? $link ?? 'made:'.substr(hash('sha256', implode("\n", [$title, $date, $text])), 0, 24);
    }

    /**
     * Two items with one identifier: the second is told by its place among the equals.
     *
     * @param  array<string, int>  $seen
     */
    public static function unique(string $id, array &$seen): string
    {
        $seen[$id] = ($seen[$id] ?? 0) + 1;

        return $seen[$id] === 1 ? $id : "$id #{$seen[$id]}";
    }
}
