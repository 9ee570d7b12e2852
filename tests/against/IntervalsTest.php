<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Standing\MeanInterval;
use Gnomic\Standing\Overall;
use Gnomic\Standing\StudentT;
use Gnomic\Standing\WilsonInterval;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Intervals of shares and of means, against print and against reference libraries. */
final class IntervalsTest extends TestCase
{
    #[DataProvider('newcombe1998TableI')]
    public function test_shares_agree_with_print(int $k, int $n, float $low, float $high): void
    {
        $found = WilsonInterval::at95Percent($k, $n);
        self::assertEqualsWithDelta([$low, $high], [$found->lower, $found->upper], 5e-5);
    }

    /** @return iterable<string, array{int, int, float, float}> Newcombe, Stat. Med. 17 (1998) 857, Table I, method 3 */
    public static function newcombe1998TableI(): iterable
    {
        yield '81 of 263' => [81, 263, 0.2553, 0.3662];
        yield '15 of 148' => [15, 148, 0.0624, 0.1605];
        yield 'nobody of 20' => [0, 20, 0.0, 0.1611];
        yield '1 of 29' => [1, 29, 0.0061, 0.1718];
    }

    public function test_shares_at_their_ends(): void
    {
        self::assertSame([0.0, 1.0], [WilsonInterval::at95Percent(0, 0)->lower, WilsonInterval::at95Percent(0, 0)->upper]);
        for ($trials = 1; $trials < 60; $trials++) {
            for ($successes = 0; $successes <= $trials; $successes++) {
                [$one, $other] = [
                    WilsonInterval::at95Percent($successes, $trials),
                    WilsonInterval::at95Percent($trials - $successes, $trials),
                ];
                self::assertEqualsWithDelta($one->lower, 1 - $other->upper, 1e-12, 'the same seen from the other side');
                self::assertTrue($one->lower <= $successes / $trials && $successes / $trials <= $one->upper);
            }
        }
        $this->expectException(InvalidArgumentException::class);
        WilsonInterval::at95Percent(3, 2);
    }

    public function test_means_and_students_quantiles_agree_with_reference_libraries(): void
    {
        $samples = [
            [5, 5, 4],
            [1, 5],
            [4.6, 4.6, 4.6, 4.2, 1.0],
            [5, 4, 4, 3, 2, 5, 5, 5, 1, 4, 4.5, 3.5],
            array_map(fn (int $number): float => 1 + ($number * 7 % 9) / 2, range(0, 299)),
        ];
        $process = new Process(['node', __DIR__.'/intervals.mjs'], input: (string) json_encode($samples));
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        foreach ($samples as $index => $sample) {
            $ours = MeanInterval::at95Percent(array_map(
                fn (int|float $stars): array => ['stars' => (float) $stars, 'count' => 1],
                $sample,
            ));
            self::assertNotNull($ours);
            self::assertEqualsWithDelta([$theirs[$index]['mean'], $theirs[$index]['deviation']], [$ours->mean, $ours->deviation], 1e-10);
            self::assertEqualsWithDelta($theirs[$index]['quantile'], StudentT::quantile(0.975, count($sample) - 1), 1e-6);
            self::assertEqualsWithDelta($theirs[$index]['interval'], [$ours->lower, $ours->upper], 1e-6);
        }
        self::assertNull(MeanInterval::at95Percent([['stars' => 5.0, 'count' => 1]]));
    }

    /** NIST/SEMATECH e-Handbook, section 1.3.6.7.2, upper critical values of Student's t at 0.975. */
    public function test_quantiles_agree_with_print(): void
    {
        foreach ([1 => 12.706, 2 => 4.303, 5 => 2.571, 10 => 2.228, 30 => 2.042, 100 => 1.984] as $freedom => $value) {
            self::assertEqualsWithDelta($value, StudentT::quantile(0.975, $freedom), 5e-4);
        }
    }

    /** 16 CFR 465.7: what is shown of reviews must not be taken for all of them; the figures are over all. */
    public function test_figures_tell_what_they_rest_on(): void
    {
        $overall = Overall::ofTally([
            ['stars' => 5.0, 'count' => 60, 'source' => 'a', 'oldest' => 200],
            ['stars' => 2.0, 'count' => 20, 'source' => 'b', 'oldest' => 100],
        ]);
        self::assertSame([80, 2, 100, '4.3'], [$overall->count, $overall->sources, $overall->since, $overall->shown()]);
        self::assertEqualsWithDelta([0.6453, 0.8321], [$overall->content->lower, $overall->content->upper], 5e-4);
    }
}
