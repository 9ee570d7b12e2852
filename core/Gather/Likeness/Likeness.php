<?php

declare(strict_types=1);

namespace Gnomic\Gather\Likeness;

use Gnomic\Text\Words;

/**
 * Whether two entries are the same opinion told at two places: by how far their words resemble each other, with author,
 * date and rating as further evidence, each with a stated weight.
 */
final readonly class Likeness
{
    /** From here on two entries are taken for one. */
    public const SAME = 0.85;

    /** Words have to resemble each other by so much, whatever else speaks for it. */
    private const LEAST = 0.5;

    /** Of fewer pieces than this people say the same by chance: "Great place, thank you" has two. */
    private const FEW = 4;

    private const DAY = 86_400;

    /** @param  string  $reason in words: "92 of 100 of the words, the same author, one day apart" */
    private function __construct(public float $score, public bool $isSame, public string $reason)
    {
    }

    public static function between(ComparedEntry $one, ComparedEntry $other): self
    {
        $resemblance = Shingles::resemblance($one->shingles, $other->shingles);
        $score = $resemblance;
        $reasons = [match (true) {
            $resemblance === 1.0 => 'the same words',
            default => round(100 * $resemblance).' of 100 of the words alike',
        }];
        [$sameAuthor, $why, $weight] = self::authors($one->author, $other->author);
        $score += $weight;
        $reasons[] = $why;
        $apart = $one->published === null || $other->published === null ? null : abs($one->published - $other->published);
        $score += match (true) {
            $apart === null => 0.0,
            $apart <= 3 * self::DAY => 0.10,
            $apart > 60 * self::DAY => -0.10,
            default => 0.0,
        };
        if ($apart !== null) {
            $days = intdiv($apart, self::DAY);
            $reasons[] = $days === 0 ? 'within a day' : "$days ".($days === 1 ? 'day' : 'days').' apart';
        }
        if ($one->stars !== null && $other->stars !== null) {
            $equal = abs($one->stars - $other->stars) <= 0.5;
            $score += $equal ? 0.05 : -0.15;
            $reasons[] = $equal ? 'rated alike' : 'rated differently';
        }
        $few = min(count($one->shingles), count($other->shingles)) < self::FEW;
        $isSame = $resemblance >= self::LEAST && $score >= self::SAME
            && (! $few || ($sameAuthor && $apart !== null && $apart <= 3 * self::DAY));

        return new self(round(max(0.0, min(1.0, $score)), 3), $isSame, implode(', ', array_filter($reasons, Words::isFilled(...))));
    }

    /** @return array{bool, string|null, float} whether the same, in words, weight */
    private static function authors(string $one, string $other): array
    {
        return match (true) {
            $one === '' || $other === '' => [false, null, 0.0],
            $one === $other, self::isShortFor($one, $other), self::isShortFor($other, $one) => [true, 'the same author', 0.15],
            default => [false, 'other names', -0.15],
        };
    }

    /** "ines m" is short for "ines marlow", and so is "i marlow". */
    private static function isShortFor(string $short, string $long): bool
    {
        [$few, $many] = [explode(' ', $short), explode(' ', $long)];
        if (count($few) < 2 || count($few) !== count($many) || $short === $long) {
            return false;
        }
        foreach ($few as $place => $part) {
            if ($part !== $many[$place] && ! (mb_strlen($part) === 1 && str_starts_with($many[$place], $part))) {
                return false;
            }
        }

        return true;
    }
}
