<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Gather\Likeness\MinHash;
use Gnomic\Gather\Likeness\Shingles;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class LikenessTest extends TestCase
{
    /** Sets of Leskovec, Rajaraman, Ullman, Mining of Massive Datasets, ch. 3 (from memory): S1 {a,d}, S2 {c}, S3 {b,d,e}, S4 {a,c,d}. */
    public function test_jaccard_of_the_worked_example(): void
    {
        [$a, $b, $c, $d, $e] = [1, 2, 3, 4, 5];
        self::assertSame(1 / 4, Shingles::resemblance([$a, $d], [$b, $d, $e]));
        self::assertSame(2 / 3, Shingles::resemblance([$a, $d], [$a, $c, $d]));
        self::assertSame(0.0, Shingles::resemblance([$a, $d], [$c]));
        self::assertSame(1 / 5, Shingles::resemblance([$b, $d, $e], [$a, $c, $d]));
    }

    /** The estimate's standard error is sqrt(s(1-s)/k), at most 1/(2 sqrt(k)); the mean of many is unbiased (Broder 1997). */
    #[DataProvider('shares')]
    public function test_the_estimate_keeps_within_its_error(float $share): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $errors = [];
        for ($pair = 0; $pair < 150; $pair++) {
            $common = array_map(fn (): int => $chance->getInt(0, 0xFFFFFFFF), range(1, (int) max(1, 200 * $share)));
            $own = fn (): array => array_map(fn (): int => $chance->getInt(0, 0xFFFFFFFF), range(1, (int) max(1, 100 * (1 - $share))));
            [$one, $other] = [[...$common, ...$own()], [...$common, ...$own()]];
            $errors[] = MinHash::resemblance(MinHash::signature($one), MinHash::signature($other)) - Shingles::resemblance($one, $other);
        }
        $mean = array_sum($errors) / count($errors);
        $deviation = sqrt(array_sum(array_map(fn (float $error): float => $error ** 2, $errors)) / count($errors));
        self::assertLessThan(1 / sqrt(MinHash::SIZE), $deviation);
        self::assertLessThan(3 / sqrt(MinHash::SIZE * count($errors)), abs($mean));
    }

    /** @return iterable<array{float}> */
    public static function shares(): iterable
    {
        foreach ([0.1, 0.3, 0.5, 0.7, 0.9] as $share) {
            yield "$share" => [$share];
        }
    }
}
