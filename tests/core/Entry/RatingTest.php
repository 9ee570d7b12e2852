<?php

declare(strict_types=1);

namespace Tests\core\Entry;

use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingOutOfScale;
use Gnomic\Entry\Scale;
use Gnomic\Entry\ScaleIsEmpty;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RatingTest extends TestCase
{
    #[DataProvider('conversions')]
    public function test_stars_by_the_stated_conversion(float $value, float $worst, float $best, float $stars): void
    {
        self::assertSame($stars, Rating::on(Scale::between($worst, $best), $value)->stars());
    }

    /** @return iterable<string, array{float, float, float, float}> */
    public static function conversions(): iterable
    {
        yield 'five stars are themselves' => [4.0, 1.0, 5.0, 4.0];
        yield 'ten points from one, in proportion' => [9.2, 1.0, 10.0, 4.6];
        yield 'ten points from nothing, in proportion' => [7.0, 0.0, 10.0, 3.5];
        yield 'per cent' => [80.0, 0.0, 100.0, 4.0];
        yield 'nothing is still one star' => [0.0, 0.0, 5.0, 1.0];
        yield 'seven points from a declared one' => [4.0, 1.0, 7.0, 3.0];
        yield 'a scale below nothing' => [0.0, -2.0, 2.0, 3.0];
        yield 'the best of any scale' => [7.0, 1.0, 7.0, 5.0];
    }

    #[DataProvider('outside')]
    public function test_nothing_lies_outside_its_scale(float $value): void
    {
        $this->expectException(RatingOutOfScale::class);
        Rating::on(Scale::ofStars(), $value);
    }

    /** @return iterable<string, array{float}> */
    public static function outside(): iterable
    {
        yield 'above' => [5.01];
        yield 'below' => [0.0];
        yield 'no number' => [NAN];
        yield 'endless' => [INF];
    }

    public function test_a_scale_has_room(): void
    {
        $this->expectException(ScaleIsEmpty::class);
        Scale::between(5, 5);
    }

    public function test_it_is_spoken_on_its_own_scale(): void
    {
        self::assertSame('9.2 of 10', Rating::on(Scale::between(1, 10), 9.2)->spoken());
        self::assertSame('4 of 5', Rating::on(Scale::ofStars(), 4)->spoken());
    }
}
