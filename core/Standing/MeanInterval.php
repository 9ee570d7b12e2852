<?php

declare(strict_types=1);

namespace Gnomic\Standing;

/** An interval for a mean: Student's, from the sample's own spread (NIST/SEMATECH e-Handbook, section 1.3.5.2). */
final readonly class MeanInterval
{
    private function __construct(public float $mean, public float $deviation, public float $lower, public float $upper)
    {
    }

    /**
     * @param  iterable<array{stars: float, count: int}>  $tally  how often each value occurs
     * @return self|null null for fewer than two
     */
    public static function at95Percent(iterable $tally): ?self
    {
        $counts = [];
        foreach ($tally as ['stars' => $stars, 'count' => $times]) {
            $counts[(string) $stars] = ($counts[(string) $stars] ?? 0) + $times;
        }
        ksort($counts); // the same sum to its last digit, in whatever order the values come
        $values = array_map(
            fn (string|int $stars, int $times): array => ['stars' => (float) $stars, 'count' => $times],
            array_keys($counts),
            $counts,
        );
        $count = array_sum(array_column($values, 'count'));
        if ($count < 2) {
            return null;
        }
        $mean = array_sum(array_map(fn (array $one): float => $one['stars'] * $one['count'], $values)) / $count;
        $squares = array_sum(array_map(fn (array $one): float => $one['count'] * ($one['stars'] - $mean) ** 2, $values));
        $deviation = sqrt($squares / ($count - 1));
        $half = StudentT::quantile(0.975, $count - 1) * $deviation / sqrt($count);

        return new self($mean, $deviation, $mean - $half, $mean + $half);
    }
}
