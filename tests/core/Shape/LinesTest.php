<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\Paragraph;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines before anything is drawn. What browsers make of them is held in tests/browser/layouts.spec.ts. */
final class LinesTest extends TestCase
{
    #[DataProvider('texts')]
    public function test_lines_are_filled_as_far_as_words_go(string $text, float $width, int $lines): void
    {
        self::assertSame($lines, Paragraph::of($text)->linesAt($width));
    }

    /** @return iterable<string, array{string, float, int}> */
    public static function texts(): iterable
    {
        yield 'none' => ['', 10, 0];
        yield 'one' => ['A night to keep.', 40, 1];
        yield 'broken by the text itself' => ["One.\nTwo.\n\nFour.", 40, 4];
        yield 'each word on its own' => ['aaaa bbbb cccc', 2.6, 3];
        yield 'full em, a character each' => [str_repeat('天', 10), 4, 3];
        yield 'endless, broken anywhere' => [str_repeat('天', 3).' '.str_repeat('m', 100), 3, 1 + (int) ceil(100 * self::width('m') / 3)];
        yield 'narrower than any letter' => ['abc', 0, 2];
        yield 'behind a hyphen' => ['mirror-making', 4.2, 2];
        yield 'marks take no room' => ['e'.str_repeat("\u{0301}", 300), 5, 1];
    }

    public function test_a_line_more_never_needs_more_room(): void
    {
        $text = Paragraph::of(str_repeat('Saturn was so sharp that my daughter asked whether it was a sticker on the lens. ', 20), Font::Literata);
        $before = PHP_INT_MAX;
        for ($width = 2.0; $width < 90; $width += 0.5) {
            self::assertLessThanOrEqual($before, $before = $text->linesAt($width));
        }
        self::assertSame(1, $text->linesAt($text->widest() + 0.001));
        self::assertSame(2, $text->linesAt($text->widest() - 0.001));
    }

    public function test_a_page_of_its_own_font_stands_between_those_that_ship(): void
    {
        [$page, $one, $other] = array_map(fn (Font $font): array => $font->advances(false), [Font::Page, Font::Literata, Font::SchibstedGrotesk]);
        foreach (['a', 'm', 'W', ' ', 'é'] as $letter) {
            $at = mb_ord($letter);
            self::assertGreaterThanOrEqual(min($one[$at], $other[$at]), $page[$at]);
            self::assertLessThanOrEqual(max($one[$at], $other[$at]), $page[$at]);
        }
        self::assertGreaterThan(Font::Literata->advances(false)[ord('a')], Font::Literata->advances(true)[ord('a')], 'bold is wider');
    }

    private static function width(string $letter): float
    {
        return Font::Page->advances(false)[mb_ord($letter)] / 1000;
    }
}
