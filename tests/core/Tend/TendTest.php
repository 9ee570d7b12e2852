<?php

declare(strict_types=1);

namespace Tests\core\Tend;

use Gnomic\Tend\BackOff;
use Gnomic\Tend\Cadence;
use PHPUnit\Framework\TestCase;

final class TendTest extends TestCase
{
    public function test_waits_double_up_to_a_bound(): void
    {
        self::assertSame([60, 120, 240, 480], array_map(fn (int $failures): int => BackOff::seconds($failures, 3600, 1.0), [1, 2, 3, 4]));
        self::assertSame(6 * 3600, BackOff::seconds(50, 3600, 1.0));
        self::assertSame(86_400, BackOff::seconds(50, 86_400, 1.0));
    }

    public function test_jitter_takes_up_to_half(): void
    {
        self::assertSame([120, 180, 240], array_map(fn (float $jitter): int => BackOff::seconds(3, 3600, $jitter), [0.0, 0.5, 1.0]));
    }

    public function test_what_the_service_asks_for_is_waited_out_up_to_a_day(): void
    {
        self::assertSame(900, BackOff::seconds(1, 3600, 1.0, 900));
        self::assertSame(60, BackOff::seconds(1, 3600, 1.0, 5));
        self::assertSame(86_400, BackOff::seconds(1, 3600, 1.0, 9_000_000));
    }

    public function test_cadences_are_spoken(): void
    {
        self::assertSame(
            ['every minute', 'every hour', 'every six hours', 'every day', 'every two weeks', 'every 90 seconds'],
            array_map(Cadence::spoken(...), [60, 3600, 21_600, 86_400, 1_209_600, 90]),
        );
    }
}
