<?php

declare(strict_types=1);

namespace Tests\core\Entry;

use Gnomic\Entry\RatingOutOfScale;
use Gnomic\Entry\RatingText;
use Gnomic\Entry\Scale;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class RatingTextTest extends TestCase
{
    #[DataProvider('written')]
    public function test_what_people_write(string $written, ?float $value, ?float $best): void
    {
        $read = RatingText::read($written);
        self::assertSame([$value, $best], [$read?->value, $read?->best], $written);
    }

    /** @return iterable<array{string, float|null, float|null}> */
    public static function written(): iterable
    {
        yield ['4', 4.0, null];
        yield ['4.5', 4.5, null];
        yield ['4,5', 4.5, null];
        yield [' 4 / 5 ', 4.0, 5.0];
        yield ['9.2/10', 9.2, 10.0];
        yield ["9,2\u{A0}/\u{A0}10", 9.2, 10.0];
        yield ['4 of 5', 4.0, 5.0];
        yield ['4 out of 5 stars', 4.0, 5.0];
        yield ['4 stars out of 5', 4.0, 5.0];
        yield ['4 von 5 Sternen', 4.0, 5.0];
        yield ['4 sur 5', 4.0, 5.0];
        yield ['4 de 5 estrellas', 4.0, 5.0];
        yield ['4 su 5', 4.0, 5.0];
        yield ['4 van 5', 4.0, 5.0];
        yield ['80%', 80.0, 100.0];
        yield ['80 %', 80.0, 100.0];
        yield ['5 stars', 5.0, 5.0];
        yield ['8 points', 8.0, null];
        yield ['Rating: 4', 4.0, null];
        yield ['★★★★★', 5.0, 5.0];
        yield ['★★★☆☆', 3.0, 5.0];
        yield ['★★★★½', 4.5, 5.0];
        yield ['⭐⭐⭐⭐', 4.0, 5.0];
        yield ['⭐️⭐️', 2.0, 5.0];
        yield ['★★★★★★★☆☆☆', 7.0, 10.0];
        yield ['☆☆☆☆☆', 0.0, 5.0];
        yield ['★★★★☆ (4)', 4.0, 5.0];
        yield ['👍', 1.0, 1.0];
        yield ['Nicht empfohlen', 0.0, 1.0];
        yield ['Yes', 1.0, 1.0];
        yield ['', null, null];
        yield ['splendid', null, null];
        yield ['four', null, null];
        yield ['4-5', null, null];
        yield ['2026-01-01', null, null];
        yield ['4 5', null, null];
        yield ['-3', null, null];
        yield ['1e9', null, null];
        yield [str_repeat('9', 50), null, null];
    }

    public function test_a_scale_that_was_written_stands_before_the_one_given(): void
    {
        self::assertSame('9.2 of 10', RatingText::read('9.2/10')?->on(Scale::ofStars())->spoken());
        self::assertSame('4 of 7', RatingText::read('4')?->on(Scale::between(1, 7))->spoken());
        self::assertSame(
            [5.0, 1.0],
            [RatingText::read('yes')?->on(Scale::ofStars())->stars(), RatingText::read('no')?->on(Scale::ofStars())->stars()],
        );
        self::assertSame(
            ['recommended', 'not recommended'],
            [RatingText::read('yes')?->on(Scale::ofStars())->spoken(), RatingText::read('no')?->on(Scale::ofStars())->spoken()],
        );
        $this->expectException(RatingOutOfScale::class);
        RatingText::read('7/5')?->on(Scale::ofStars());
    }

    public function test_what_is_spoken_is_read_back(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        for ($time = 0; $time < 300; $time++) {
            $best = [5, 6, 7, 10, 20, 100][$chance->getInt(0, 5)];
            $value = $chance->getInt(10, $best * 10) / 10;
            $read = RatingText::read("$value of $best");
            self::assertSame([(float) $value, (float) $best], [$read?->value, $read?->best]);
            $stars = $read?->on(Scale::ofStars())->stars() ?? 0.0;
            self::assertTrue($stars >= 1.0 && $stars <= 5.0, "$value of $best is $stars stars");
        }
    }
}
