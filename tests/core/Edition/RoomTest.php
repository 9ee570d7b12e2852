<?php

declare(strict_types=1);

namespace Tests\core\Edition;

use Gnomic\Edition\Plan\Room;
use PHPUnit\Framework\TestCase;

/** The room of a widget at every width, as one length. */
final class RoomTest extends TestCase
{
    public function test_steps_are_steps_and_slopes_are_slopes(): void
    {
        $height = fn (int $width): float => $width < 640 ? 900.0 : ($width < 960 ? 500.0 : 300.0 + ($width - 960) / 10);
        $room = Room::of($height);
        foreach ([300, 500, 630, 644, 700, 950, 964, 1200, 1600] as $width) {
            self::assertEqualsWithDelta($height($width), $room->at($width), 2.0, "at $width");
            self::assertEqualsWithDelta($room->at($width), self::evaluated($room->length(), $width), 1.0, 'and so the style sheet says');
        }
    }

    public function test_what_is_the_same_everywhere_is_one_number(): void
    {
        self::assertSame('420px', Room::of(fn (int $width): float => 420.0)->length());
    }

    public function test_a_short_form_is_about_right(): void
    {
        $line = fn (int $from, float $slope, int $least): Room => Room::of(fn (int $width): float => max($least, $from - $slope * $width));
        foreach ([[1_300, 0.9, 380], [900, 0.6, 420], [3_000, 3.0, 600]] as [$from, $slope, $least]) {
            $short = $line($from, $slope, $least)->short();
            self::assertLessThan(30, strlen($short));
            self::assertMatchesRegularExpression('/^max\(\d+px,\d+px - \d+%\)$/', $short);
            sscanf($short, 'max(%dpx,%dpx - %d%%)', $wide, $of, $share);
            foreach ([358, 1_000] as $width) {
                self::assertEqualsWithDelta(max($least, $from - $slope * $width), max((int) $wide, (int) $of - (int) $share * $width / 100), 20, "$short at $width");
            }
        }
        self::assertSame('420px', Room::of(fn (int $width): float => 420.0)->short());
        self::assertStringStartsWith('min(', Room::of(fn (int $width): float => 200 + 0.3 * $width)->short());
    }

    public function test_it_tells_how_much_more_it_takes_than_another(): void
    {
        $room = fn (float $height): Room => Room::of(fn (int $width): float => $height);
        self::assertSame([120, -80, 0], [$room(420)->moreThan($room(300)), $room(220)->moreThan($room(300)), $room(300)->moreThan($room(300))]);
    }

    public function test_however_it_goes_the_code_to_paste_stays_short(): void
    {
        $room = Room::of(fn (int $width): float => 400_000 / $width + 40 * ($width % 97));
        self::assertLessThan(1200, strlen($room->length()));
    }

    /** As a browser reckons it; tests/browser/places.spec.ts has one do it. */
    private static function evaluated(string $length, int $width): float
    {
        $sum = 0.0;
        preg_match_all('/([+-]?) ?(?:([\d.]+)\*clamp\(0px,100% - (\d+)px,(\d+)px\)|(\d+)px(?!\)))/', $length, $terms, PREG_SET_ORDER);
        foreach ($terms as $term) {
            $sign = $term[1] === '-' ? -1 : 1;
            $sum += $sign * (($term[5] ?? '') !== '' ? (float) $term[5] : (float) ($term[2] ?? 0) * max(0, min((int) ($term[4] ?? 0), $width - (int) ($term[3] ?? 0))));
        }

        return $sum;
    }
}
