<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Trial\Arm;
use Gnomic\Place\Trial\SequentialTest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Effort;

/** Looking every day does not make two versions that are alike look different more often than it is stated. */
final class TrialTest extends TestCase
{
    /** @return iterable<string, array{float, int}> */
    public static function rates(): iterable
    {
        yield 'one in a hundred' => [0.01, 400];
        yield 'three in a hundred' => [0.03, 200];
        yield 'one in ten' => [0.1, 100];
        yield 'four in ten' => [0.4, 60];
    }

    /** The error that is stated, by simulation: trials of 60 days, with a look at each. */
    #[DataProvider('rates')]
    public function test_alike_versions_are_seldom_told_apart(float $rate, int $aDay): void
    {
        $chance = new Randomizer(new Mt19937(1926));
        $wrong = 0;
        $trials = Effort::of(200, 600);
        for ($trial = 0; $trial < $trials; $trial++) {
            $wrong += (int) (SequentialTest::over(self::days($chance, $rate, $rate, $aDay, 60))->says === 'enough');
        }
        // Five in a hundred, and three standard errors of so many.
        self::assertLessThanOrEqual(SequentialTest::ERROR + 3 * sqrt(0.05 * 0.95 / $trials), $wrong / $trials);
    }

    public function test_a_difference_is_found_and_the_right_one_named(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $found = 0;
        for ($trial = 0; $trial < 100; $trial++) {
            $test = SequentialTest::over(self::days($chance, 0.05, 0.09, 200, 60));
            $found += (int) ($test->says === 'enough' && $test->isOtherBetter());
        }
        self::assertGreaterThan(95, $found);
    }

    public function test_the_interval_holds_all_the_while(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        $out = 0;
        $trials = Effort::of(100, 300);
        for ($trial = 0; $trial < $trials; $trial++) {
            $interval = SequentialTest::over(self::days($chance, 0.06, 0.08, 150, 40))->interval;
            $out += (int) ($interval === null || $interval[0] > 0.02 || $interval[1] < 0.02);
        }
        self::assertLessThanOrEqual(0.05 + 3 * sqrt(0.05 * 0.95 / $trials), $out / $trials);
    }

    public function test_little_says_nothing_and_much_of_the_same_says_so(): void
    {
        self::assertSame(['not yet', null], [SequentialTest::over([[new Arm(0, 0), new Arm(0, 0)]])->says, SequentialTest::over([[new Arm(40, 2), new Arm(40, 12)]])->p]);
        self::assertSame('not yet', SequentialTest::over([[new Arm(90, 0), new Arm(90, 80)]])->says, 'below a hundred views');
        self::assertSame('no difference', SequentialTest::over([[new Arm(400_000, 40_000), new Arm(400_000, 40_100)]])->says);
        self::assertSame(20, (new Arm(20, 35))->successes, 'no more is used than is seen');
        $seen = SequentialTest::over([[new Arm(2_000, 100), new Arm(2_000, 200)], [new Arm(4_000, 300), new Arm(4_000, 320)]]);
        self::assertSame('enough', $seen->says, 'what was shown once stays shown');
    }

    /** @return non-empty-list<array{Arm, Arm}> */
    private static function days(Randomizer $chance, float $one, float $other, int $aDay, int $days): array
    {
        $moments = [];
        $sums = [0, 0];
        for ($day = 1; $day <= $days; $day++) {
            foreach ([$one, $other] as $arm => $rate) {
                for ($view = 0; $view < $aDay; $view++) {
                    $sums[$arm] += (int) ($chance->getInt(0, 999_999) < $rate * 1_000_000);
                }
            }
            $moments[] = [new Arm($day * $aDay, $sums[0]), new Arm($day * $aDay, $sums[1])];
        }

        return $moments === [] ? [[new Arm(0, 0), new Arm(0, 0)]] : $moments;
    }
}
