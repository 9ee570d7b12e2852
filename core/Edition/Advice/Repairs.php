<?php

declare(strict_types=1);

namespace Gnomic\Edition\Advice;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Loosening;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Sifted;
use Gnomic\Text\Numbers;

/** What to loosen in a brief that leaves nothing: the smallest change that gives enough. */
final class Repairs
{
    /** Entries that are enough, where the brief does not want fewer. */
    private const ENOUGH = 3;

    /** Offers beyond which a choice gets no easier. */
    private const MOST = 3;

    /**
     * One clause at a time, the smallest loosening of each that is enough; where no single clause is to blame, those that
     * are so together.
     *
     * @return list<array{text: string, brief: array<string, mixed>}>
     */
    public static function of(Brief $brief, Sifted $sieve): array
    {
        $wishes = array_values(array_filter(
            array_map(fn (Clause $clause): string => $clause::key(), Sieve::of($brief->criteria, $sieve->context())->clauses),
            Loosening::canLeaveOut(...),
        ));
        // Where there are fewer in all, they are enough.
        $enough = min(self::ENOUGH, $brief->criteria->limits->most, $sieve->tally()->passingWithout($wishes));
        if ($enough === 0) {
            return [];
        }
        $offers = [];
        foreach ($sieve->tally()->account() as $step) {
            // What nothing but this clause keeps out is what the loosest of its loosenings gives.
            if ($step->alone !== null && $step->alone >= $enough) {
                $offers[] = self::smallest($brief, $sieve, $step->key, $enough);
            }
        }
        foreach ($offers === [] ? $sieve->tally()->togetherOut() : [] as $keys) {
            $passing = $sieve->tally()->passingWithout($keys);
            if ($passing >= $enough && array_diff($keys, $wishes) === []) {
                $offers[] = [
                    'passing' => $passing,
                    'offer' => self::offer($brief, Loosening::without($brief->criteria, $keys), $passing),
                ];
                break;
            }
        }
        usort($offers, fn (array $one, array $other): int => $one['passing'] <=> $other['passing']);

        return array_slice(array_column($offers, 'offer'), 0, self::MOST);
    }

    /** @return array{passing: int, offer: array{text: string, brief: array<string, mixed>}} */
    private static function smallest(Brief $brief, Sifted $sieve, string $key, int $enough): array
    {
        $last = ['passing' => 0, 'offer' => ['text' => '', 'brief' => []]];
        foreach (Loosening::of($brief->criteria, $key) as $looser) {
            $passing = $sieve->alongside($looser->wanted)->tally()->passing();
            $last = ['passing' => $passing, 'offer' => self::offer($brief, $looser, $passing)];
            if ($passing >= $enough) {
                break;
            }
        }

        return $last;
    }

    /** @return array{text: string, brief: array<string, mixed>} */
    private static function offer(Brief $brief, Loosening $looser, int $passing): array
    {
        return [
            'text' => "$looser->phrase: ".Numbers::spoken($passing).' would pass',
            'brief' => $brief->with(criteria: $looser->wanted)->toArray(),
        ];
    }
}
