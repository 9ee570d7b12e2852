<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Gather\Likeness\Shingles;

/**
 * The balanced order. Each entry has parts of 0 to 1000: freshness (halved after every half-life, in whole days), the
 * certainty of its rating, the substance of its words (240 characters are all of it). Weighed and added up they give its
 * base. Then they are chosen one by one from those with the highest base: each gains by variety, the less the more of its
 * source and of its subject stand before it; one that is alike to one before it (half of its words and more), or by the
 * same author, waits until no other is left.
 */
final readonly class Balance
{
    /** Characters beyond which more words are no more substance. */
    private const SUBSTANCE = 240;

    private const ALIKE = 0.5;

    /** @param  int  $midnight  the end of the day, seconds since 1970 */
    public function __construct(private Weights $weights, private Certainty $certainty, private int $midnight)
    {
    }

    /** How many of the highest base are chosen from, where so many are wanted. */
    public static function pool(int $wanted): int
    {
        return max(200, 5 * $wanted);
    }

    /** @return array{freshness: int, rating: int, substance: int} 0 to 1000 each */
    public function parts(Facts $entry): array
    {
        $age = $entry->published === null ? null : (int) floor(max(0.0, $this->midnight - $entry->published) / 86_400);

        return [
            'freshness' => $age === null ? 0 : (int) (1000.0 * 2.0 ** (-$age * 1.0 / $this->weights->halfLife)),
            'rating' => $this->certainty->part($entry),
            'substance' => intdiv(min($entry->length, self::SUBSTANCE) * 1000, self::SUBSTANCE),
        ];
    }

    public function base(Facts $entry): int
    {
        ['freshness' => $freshness, 'rating' => $rating, 'substance' => $substance] = $this->parts($entry);

        return $this->weights->freshness * $freshness + $this->weights->rating * $rating + $this->weights->substance * $substance;
    }

    public function sql(): Condition
    {
        $rating = $this->certainty->sql();
        $days = 'CAST(MAX(0, ? - published) / 86400 AS INTEGER)';
        $halved = "CAST(1000.0 * pow(2.0, -$days * 1.0 / {$this->weights->halfLife}) AS INTEGER)";
        $freshness = "CASE WHEN published IS NULL THEN 0 ELSE $halved END";
        $substance = 'MIN(length, '.self::SUBSTANCE.') * 1000 / '.self::SUBSTANCE;

        return new Condition("({$this->weights->freshness} * $freshness + {$this->weights->rating} * $rating->sql + "
            ."{$this->weights->substance} * ($substance))",
            [$this->midnight, ...$rating->bindings]);
    }

    /**
     * Chooses one by one, each in turn the best of what is left.
     *
     * @param  list<Facts>  $before  those that stand first anyway
     * @param  list<Facts>  $pool  by their base, highest first
     * @param  int  $wanted  how many are chosen
     * @param  callable(Facts): int  $group  entries of a lower number come before all others
     * @return list<array{Facts, int}> those chosen, with the variety that each had, 0 to 1000
     */
    public function chosen(array $before, array $pool, int $wanted, callable $group): array
    {
        $likes = new AlikeFinder(
            array_map(fn (Facts $entry): array => Shingles::ofWords(explode(' ', trim($entry->saying->line()))), $pool),
            self::ALIKE,
        );
        $counts = ['source' => [], 'subject' => []];
        $authors = $put = $chosen = [];
        $take = function (Facts $entry) use (&$counts, &$authors, &$put, $likes): void {
            $counts['source'][$entry->source] = ($counts['source'][$entry->source] ?? 0) + 1;
            $counts['subject'][(string) $entry->subject] = ($counts['subject'][(string) $entry->subject] ?? 0) + 1;
            $authors[(string) $entry->author] = true;
            foreach ($likes->alikeTo(Shingles::ofWords(explode(' ', trim($entry->saying->line())))) as $index) {
                $put[$index] = true;
            }
        };
        array_map($take, $before);
        $left = $pool;
        while ($left !== [] && count($chosen) < $wanted) {
            $best = null;
            foreach ($left as $index => $entry) {
                $variety = intdiv(500, 1 + ($counts['source'][$entry->source] ?? 0)) + intdiv(
                    500,
                    1 + ($counts['subject'][(string) $entry->subject] ?? 0),
                );
                $waits = isset($put[$index]) || ($entry->author !== null && isset($authors[$entry->author])) ? 1 : 0;
                $rank = [-$group($entry), -$waits, $this->base($entry) + $this->weights->variety * $variety];
                if ($best === null || $rank > $best[0]) {
                    $best = [$rank, $index, $variety];
                }
            }
            $entry = $left[$best[1]];
            unset($left[$best[1]]);
            $chosen[] = [$entry, $best[2]];
            $take($entry);
        }

        return $chosen;
    }

    /** "freshness 820 × 3, rating 530 × 2 (62 of 98 there gave 5 stars), words 1000 × 2", and variety where it was chosen. */
    public function told(Facts $entry, ?int $variety): string
    {
        $parts = $this->parts($entry);
        $rating = $this->certainty->told($entry);
        $total = $this->base($entry) + $this->weights->variety * ($variety ?? 0);

        return "freshness {$parts['freshness']} × {$this->weights->freshness}, rating {$parts['rating']} × {$this->weights->rating}".(
            $rating === null
                ? ' (none)'
                : " ($rating)"
        )
            .", words {$parts['substance']} × {$this->weights->substance}".(
                $variety === null
                    ? ''
                    : ", variety $variety × {$this->weights->variety}"
            ).', in all '.number_format($total);
    }
}
