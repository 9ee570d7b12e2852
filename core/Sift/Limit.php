<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Entry\Kind;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Sift\Clauses\OfKinds;
use Gnomic\Text\Numbers;

/** How many, of what, in which order, in words: "the newest nine reviews", "nine reviews, shuffled daily". */
final class Limit
{
    public static function phrase(Criteria $wanted, SiteContext $site): string
    {
        $most = $wanted->limits->most;
        $count = Numbers::spoken($most);
        $noun = self::noun($wanted, $most, $site);
        $many = $most === 1 ? '' : "$count ";
        $counted = $many.$noun;

        return match ($wanted->order) {
            Order::Newest => "the newest $counted",
            Order::Oldest => "the oldest $counted",
            Order::Highest => "the {$many}highest-rated $noun",
            Order::Lowest => "the {$many}lowest-rated $noun",
            Order::Liked => "the {$many}most liked $noun",
            Order::Longest => "the {$many}longest $noun",
            Order::Shuffled => "$count $noun, ".match ($wanted->shuffle) {
                Shuffle::Day => 'shuffled daily',
                Shuffle::Visit => 'shuffled at every visit',
                Shuffle::Fixed => 'shuffled once',
            },
            Order::Balanced => "a balanced choice of $counted",
        };
    }

    /** "newest first". */
    public static function order(Criteria $wanted): string
    {
        return match ($wanted->order) {
            Order::Newest => 'newest first',
            Order::Oldest => 'oldest first',
            Order::Highest => 'best first',
            Order::Lowest => 'worst first',
            Order::Liked => 'most liked first',
            Order::Longest => 'longest first',
            Order::Shuffled => 'shuffled',
            Order::Balanced => 'balanced',
        };
    }

    /** "reviews and posts", "entry": what was asked for, else what the sources bring where they all bring one kind. */
    public static function noun(Criteria $wanted, int $count, SiteContext $site): string
    {
        $kinds = OfKinds::wanted($wanted) ?? self::only($wanted, $site);

        return $kinds === null
            ? ($count === 1 ? 'entry' : 'entries')
            : Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun($count), $kinds));
    }

    /** @return array{Kind}|null */
    private static function only(Criteria $wanted, SiteContext $site): ?array
    {
        $sources = FromSources::named($wanted) ?? array_map(strval(...), array_keys($site->kinds));
        $only = null;
        foreach ($sources as $source) {
            $kind = $site->kinds[$source] ?? null;
            if ($kind === null || ($only !== null && $only !== $kind)) {
                return null;
            }
            $only = $kind;
        }

        return $only === null ? null : [$only];
    }
}
