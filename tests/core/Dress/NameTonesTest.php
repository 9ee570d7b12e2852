<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\NameTones;
use Gnomic\Dress\Palette;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands behind initials. */
final class NameTonesTest extends TestCase
{
    private static function palette(string $ink, string $ground, string $accent, string $behind = '#ffffff'): Palette
    {
        $all = array_fill_keys(array_keys(Palette::TOKENS), '#808080');

        return Palette::read(['ink' => $ink, 'ground' => $ground, 'accent' => $accent, 'behind' => $behind] + $all, '/look');
    }

    /** @return iterable<string, array{Palette, string|null}> palettes, and the colour whose neighbours they have */
    public static function palettes(): iterable
    {
        yield 'of its ink' => [self::palette('#22263d', '#ffffff', '#a8690c'), '#22263d'];
        yield 'of an ink that is nearly black' => [self::palette('#262320', '#ffffff', '#00695c'), '#262320'];
        yield 'of a dark band under white words' => [self::palette('#f4f4f4', '#161b2b', '#f1c96a'), '#161b2b'];
        yield 'of the accent where words and ground are grey' => [self::palette('#111111', '#ffffff', '#a8690c'), '#a8690c'];
        yield 'of no ground that is not painted' => [self::palette('#111111', '#16309000', '#a8690c'), '#a8690c'];
        yield 'of the page where that is seen' => [self::palette('#f4f4f4', '#ffffff00', '#f1c96a', '#161b2b'), '#161b2b'];
        yield 'round the circle' => [self::palette('#4a1020', '#ffffff', '#000000'), '#4a1020'];
        yield 'grey' => [self::palette('#111111', '#ffffff', '#333333'), null];
    }

    #[DataProvider('palettes')]
    public function test_white_letters_are_read_on_neighbours_of_the_colour_that_is_there(Palette $palette, ?string $of): void
    {
        $tones = NameTones::of($palette);
        self::assertCount(NameTones::COUNT, array_unique(array_map(fn (Colour $tone): string => $tone->toHex(), $tones)));
        foreach ($tones as $tone) {
            // WCAG 2.2, 1.4.3: letters of this size.
            self::assertGreaterThanOrEqual(4.5, $tone->contrastWith(Colour::hex('#ffffff')));
            $apart = $of === null ? 0.0 : Oklch::of($tone)->hue - Oklch::of(Colour::hex($of))->hue;
            self::assertLessThan(60.0, abs(fmod($apart + 540.0, 360.0) - 180.0), $tone->toHex());
            self::assertLessThan($of === null ? 0.001 : 0.08, Oklch::of($tone)->chroma);
        }
    }
}
