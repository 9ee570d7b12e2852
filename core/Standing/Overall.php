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
     */
    private function __construct(public int $count, public ?float $mean, public array $spread, public int $sources)
    {
    }

    /** @param  iterable<array{stars: float, count: int, source: string}>  $tally how often each value of stars occurs */
    public static function ofTally(iterable $tally): self
    {
        $spread = [1 => 0, 2 => 0, 3 => 0, 4 => 0, 5 => 0];
        $sum = 0.0;
        $count = 0;
        $sources = [];
        foreach ($tally as ['stars' => $stars, 'count' => $times, 'source' => $source]) {
            $class = max(1, min(5, (int) floor($stars)));
            $spread[$class] += $times;
            $sum += $stars * $times;
            $count += $times;
            $sources[$source] = true;
        }
        unset($sources['']); // a rating of which nobody knows where it was given

        return new self($count, $count === 0 ? null : $sum / $count, $spread, count($sources));
    }

    /** The mean as it is shown: one decimal, halves up. */
    public function shown(): ?string
    {
        return $this->mean === null ? null : number_format(round($this->mean, 1), 1, '.', '');
    }
}
