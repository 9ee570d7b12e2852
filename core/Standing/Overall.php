<?php

declare(strict_types=1);

namespace Gnomic\Standing;

/** The rating picture of what was collected: never of what a filter let through. */
final readonly class Overall
{
    /**
     * @param  int  $count  ratings
     * @param  float|null  $mean  stars, 1 to 5; null without ratings
     * @param  array{1: int, 2: int, 3: int, 4: int, 5: int}  $spread  ratings by whole stars, rounded down
     * @param  int  $sources  how many sources the ratings come from
     * @param  int|null  $since  seconds since 1970 of the first rating; null where none is dated
     * @param  MeanInterval|null  $interval  of the mean; null for fewer than two ratings
     * @param  WilsonInterval  $content  of the share with four stars and up
     * @param  array<string, array{count: int, sum: float}>  $bySource  ratings of each source and their stars together, by its key
     */
    private function __construct(
        public int $count,
        public ?float $mean,
        public array $spread,
        public int $sources,
        public ?int $since,
        public ?MeanInterval $interval,
        public WilsonInterval $content,
        public array $bySource,
    ) {
    }

    /**
     * @param  iterable<array{stars: float, count: int, source: string, oldest?: float|null}>  $tally how often each value of stars occurs
     */
    public static function ofTally(iterable $tally): self
    {
        $tally = is_array($tally) ? $tally : iterator_to_array($tally, false);
        $spread = [1 => 0, 2 => 0, 3 => 0, 4 => 0, 5 => 0];
        $sums = [];
        $count = 0;
        $sources = $bySource = [];
        $since = null;
        foreach ($tally as $one) {
            ['stars' => $stars, 'count' => $times, 'source' => $source] = $one;
            $class = max(1, min(5, (int) floor($stars)));
            $spread[$class] += $times;
            $sums[(string) $stars] = ($sums[(string) $stars] ?? 0) + $times;
            $count += $times;
            $sources[$source] = true;
            $bySource[$source] = [
                'count' => ($bySource[$source]['count'] ?? 0) + $times,
                'sum' => ($bySource[$source]['sum'] ?? 0.0) + $stars * $times,
            ];
            $oldest = $one['oldest'] ?? null;
            $since = $oldest === null ? $since : (int) floor(min($since ?? $oldest, $oldest));
        }
        ksort($sums); // the same sum to its last digit, in whatever order the values come
        $sum = array_sum(array_map(fn (string|int $stars, int $times): float => (float) $stars * $times, array_keys($sums), $sums));
        unset($sources[''], $bySource['']); // ratings whose source is not known
        ksort($bySource);

        return new self(
            $count,
            $count === 0 ? null : $sum / $count,
            $spread,
            count($sources),
            $since,
            MeanInterval::at95Percent($tally),
            WilsonInterval::at95Percent($spread[4] + $spread[5], $count),
            $bySource,
        );
    }

    /** The mean as it is shown: one decimal, halves up. */
    public function shown(): ?string
    {
        return $this->mean === null ? null : number_format(round($this->mean, 1), 1, '.', '');
    }

    /**
     * As the owner reads them, rounded to hundredths; intervals within the scale.
     *
     * @return array<string, mixed>
     */
    public function figures(): array
    {
        $rounded = fn (float $number): float => round($number, 2);

        return [
            'spread' => array_values($this->spread),
            'count' => $this->count,
            'mean' => $this->shown(),
            'interval' => $this->interval === null
                ? null
                : [$rounded(max(1.0, $this->interval->lower)), $rounded(min(5.0, $this->interval->upper))],
            'content' => $this->count === 0 ? null : [$rounded($this->content->lower), $rounded($this->content->upper)],
            'sources' => $this->sources,
            'since' => $this->since,
        ];
    }
}
