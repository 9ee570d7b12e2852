<?php

declare(strict_types=1);

namespace Gnomic\Place\Trial;

/** What a trial of two versions has come to, in figures. */
final readonly class TrialAccount
{
    /** @param  int  $days  on which either was seen */
    private function __construct(public SequentialTest $test, public int $days)
    {
    }

    /**
     * @param  list<array{this: array{int, int}, other: array{int, int}}>  $days  views, and of them those that led to more, in their
     *     order
     */
    public static function over(array $days): self
    {
        $moments = [];
        $sums = ['this' => [0, 0], 'other' => [0, 0]];
        foreach ($days as $day) {
            foreach ($day as $arm => [$views, $engaged]) {
                $sums[$arm] = [$sums[$arm][0] + $views, $sums[$arm][1] + $engaged];
            }
            $moments[] = [new Arm(...$sums['this']), new Arm(...$sums['other'])];
        }

        return new self(SequentialTest::over($moments === [] ? [[new Arm(0, 0), new Arm(0, 0)]] : $moments), count($days));
    }

    /** What is written down of it when it ends, the kept one's share first. @param  'this'|'other'  $kept */
    public function cause(string $kept): string
    {
        [$which, $mine, $theirs] = $kept === 'other'
            ? ['The other version was kept', $this->test->other, $this->test->one]
            : ['It was kept as it was', $this->test->one, $this->test->other];

        return "$which after a trial: ".self::share($mine).' against '.self::share($theirs);
    }

    /**
     * @return array{says: string, p: float|null, interval: array{float, float}|null, this: array{views: int, engaged: int, share: float},
     *     other: array{views: int, engaged: int, share: float}, days: int}
     */
    public function toArray(): array
    {
        $arm = fn (Arm $arm): array => ['views' => $arm->trials, 'engaged' => $arm->successes, 'share' => $arm->rate()];

        return ['says' => $this->test->says, 'p' => $this->test->p, 'interval' => $this->test->interval, 'this' => $arm($this->test->one),
            'other' => $arm($this->test->other), 'days' => $this->days];
    }

    private static function share(Arm $arm): string
    {
        return number_format(100 * $arm->rate(), 1).' % of '.number_format($arm->trials).' views';
    }
}
