<?php

declare(strict_types=1);

namespace Gnomic\Place\Trial;

/**
 * Whether one of two versions is better, asked as often as anybody likes: the mixture sequential probability ratio test. Its p-values are
 * valid at whatever moment somebody looks and stops, and so is its interval (Johari, Koomen, Pekelis and Walsh, "Always Valid Inference:
 * Continuous Monitoring of A/B Tests", Operations Research 70, 2022, equations 5, 7 and 9; from memory). The error is ERROR: of a hundred
 * trials of versions that are alike, at most five ever say "enough".
 */
final readonly class SequentialTest
{
    /** How often versions that are alike may be told apart, however long it runs. */
    public const ERROR = 0.05;

    /** Standard deviation of differences that are thought of beforehand: three in a hundred. It moves how soon, not how surely. */
    private const SPREAD = 0.03;

    /** Below these, shares are not near enough to normal for anything to be said. */
    private const LEAST_TRIALS = 100;

    private const LEAST_SUCCESSES = 10;

    /** Of the share itself: a difference below it is not worth having. */
    public const WORTH = 0.2;

    /**
     * @param  'enough'|'not yet'|'no difference'  $says
     * @param  float|null  $p  always valid; null where nothing can be said yet
     * @param  array{float, float}|null  $interval  of the share of the other version less that of this, at 1 − ERROR, always valid
     */
    private function __construct(public string $says, public ?float $p, public ?array $interval, public Arm $one, public Arm $other)
    {
    }

    /**
     * @param  non-empty-list<array{Arm, Arm}>  $moments  both versions, added up to each moment at which somebody looked, in their order
     */
    public static function over(array $moments): self
    {
        $p = 1.0;
        $interval = null;
        foreach ($moments as [$one, $other]) {
            $variance = self::variance($one, $other);
            if ($variance === null) {
                continue;
            }
            $difference = $other->rate() - $one->rate();
            $spread = self::SPREAD ** 2;
            // Evidence against no difference; what was seen once is not unseen.
            $ratio = sqrt($variance / ($variance + $spread)) * exp(
                min(700.0, $spread * $difference ** 2 / (2 * $variance * ($variance + $spread))),
            );
            $p = min($p, 1 / $ratio);
            $half = sqrt(
                $variance * ($variance + $spread) / $spread * (2 * log(1 / self::ERROR) + log(($variance + $spread) / $variance)),
            );
            $now = [$difference - $half, $difference + $half];
            // Every interval holds at once, so that all of them together do.
            $interval = $interval === null ? $now : [max($interval[0], $now[0]), min($interval[1], $now[1])];
        }
        [$one, $other] = $moments[count($moments) - 1];
        if ($interval === null) {
            return new self('not yet', null, null, $one, $other);
        }
        $worth = self::WORTH * self::pooled($one, $other);
        $says = match (true) {
            $p <= self::ERROR => 'enough',
            $interval[0] > -$worth && $interval[1] < $worth => 'no difference',
            default => 'not yet',
        };

        return new self($says, $p, $interval[0] <= $interval[1] ? $interval : null, $one, $other);
    }

    /** Whether the other version is the better one. */
    public function isOtherBetter(): bool
    {
        return $this->other->rate() > $this->one->rate();
    }

    /** Of the difference of the shares; null where there is too little for it to be normal. */
    private static function variance(Arm $one, Arm $other): ?float
    {
        $successes = $one->successes + $other->successes;
        $all = $one->trials + $other->trials;
        $isEnough = min($one->trials, $other->trials) >= self::LEAST_TRIALS
            && min($successes, $all - $successes) >= 2 * self::LEAST_SUCCESSES;
        if (! $isEnough) {
            return null;
        }
        // Half a success and half a failure more keep a version that has none from looking as if that were sure.
        $of = function (Arm $arm): float {
            $share = ($arm->successes + 0.5) / ($arm->trials + 1);

            return $share * (1 - $share) / $arm->trials;
        };

        return $of($one) + $of($other);
    }

    private static function pooled(Arm $one, Arm $other): float
    {
        return ($one->successes + $other->successes) / max(1, $one->trials + $other->trials);
    }
}
