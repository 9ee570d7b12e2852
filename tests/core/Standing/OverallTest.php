<?php

declare(strict_types=1);

namespace Tests\core\Standing;

use Gnomic\Standing\Overall;
use PHPUnit\Framework\TestCase;

final class OverallTest extends TestCase
{
    public function test_means_and_spreads(): void
    {
        $overall = Overall::ofTally([
            ['stars' => 5.0, 'count' => 3, 'source' => 'a'],
            ['stars' => 4.6, 'count' => 1, 'source' => 'b'],
            ['stars' => 1.0, 'count' => 1, 'source' => 'a'],
        ]);
        self::assertSame([5, 2, '4.1'], [$overall->count, $overall->sources, $overall->shown()]);
        self::assertEqualsWithDelta(20.6 / 5, $overall->mean, 1e-9);
        self::assertSame([1 => 1, 2 => 0, 3 => 0, 4 => 1, 5 => 3], $overall->spread, 'a class holds what is not yet the next star');
    }

    public function test_halves_are_shown_upwards(): void
    {
        self::assertSame('4.5', Overall::ofTally([['stars' => 4.45, 'count' => 1, 'source' => 'a']])->shown());
        self::assertSame('5.0', Overall::ofTally([['stars' => 4.95, 'count' => 1, 'source' => 'a']])->shown());
    }

    public function test_nothing_has_no_mean(): void
    {
        self::assertSame(
            [0, null, null, 0],
            [Overall::ofTally([])->count, Overall::ofTally([])->mean, Overall::ofTally([])->shown(), Overall::ofTally([])->sources],
        );
    }

    public function test_a_rating_of_no_known_source_counts_but_is_no_source(): void
    {
        $overall = Overall::ofTally([['stars' => 3.0, 'count' => 1, 'source' => ''], ['stars' => 5.0, 'count' => 1, 'source' => 'a']]);
        self::assertSame([2, 1], [$overall->count, $overall->sources]);
    }
}
