<?php

declare(strict_types=1);

namespace Gnomic\Shape\Lines;

use Gnomic\Text\Pieces;
use IntlBreakIterator;

/**
 * A text whose words are measured once, to be asked how many lines it takes at any width. Lines are filled greedily, as browsers do;
 * they may break at blanks, behind hyphens, around each character of the scripts that are written without blanks (UAX #14, classes ID
 * and CJ), and where a dictionary knows words of Thai and its neighbours to end. A word wider than the line is broken anywhere.
 */
final readonly class Paragraph
{
    /** In thousandths of the size. */
    private int $widest;

    /** Where lines may break: not at blanks that hold words together. */
    private const BLANKS = '/(?:(?![\x{A0}\x{202F}\x{2007}])\s)+/u';

    /** Scripts whose words nothing parts. */
    private const UNPARTED = '/[\p{sc:Thai}\p{sc:Lao}\p{sc:Khmer}\p{sc:Myanmar}]/u';

    private const WIDE = '\p{sc:Han}\p{sc:Hiragana}\p{sc:Katakana}\p{sc:Hangul}\x{3000}-\x{303F}\x{FF00}-\x{FFEF}\x{1F000}-\x{1FAFF}';

    /**
     * @param  list<list<array{int, int}>>  $lines  of each line that the text itself breaks, its pieces: their widths, and those of the
     *     blanks before them, in thousandths of the size
     */
    private function __construct(private array $lines)
    {
        $widest = 0;
        foreach ($lines as $pieces) {
            $width = -($pieces[0][1] ?? 0);
            foreach ($pieces as [$piece, $before]) {
                $width += $piece + $before;
            }
            $widest = max($widest, $width);
        }
        $this->widest = $widest;
    }

    public static function of(string $text, Font $font = Font::Page, bool $bold = false): self
    {
        $table = $font->advances($bold);
        /** @var array<string, int> $known widths of words that came before */
        $known = [];
        // Most texts need no looking at each of their words.
        $isPlain = preg_match('/[^\x20-\x2C\x2E\x30-\x7E\n]/', $text) !== 1;
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $pieces = [];
            foreach (Pieces::of($line, self::BLANKS) as $word) {
                $before = $table[32] ?? 250;
                foreach ($isPlain ? [$word] : self::pieces($word) as $piece) {
                    $pieces[] = [$known[$piece] ??= self::width($piece, $table), $before];
                    $before = 0;
                }
            }
            $lines[] = $pieces;
        }

        return new self($text === '' ? [] : $lines);
    }

    /**
     * @param  float  $width  of the line, in the size of its own letters; a line is never narrower than one of them
     * @return int lines, none for a text that is none
     */
    public function linesAt(float $width): int
    {
        $room = max(1000, (int) ($width * 1000));
        if ($this->widest <= $room) {
            return count($this->lines);
        }
        $count = 0;
        foreach ($this->lines as $pieces) {
            $count++;
            $used = 0;
            foreach ($pieces as [$piece, $before]) {
                $with = $used === 0 ? $piece : $used + $before + $piece;
                if ($with <= $room) {
                    $used = $with;

                    continue;
                }
                $count += $used === 0 ? 0 : 1;
                $count += $piece > $room ? intdiv($piece - 1, $room) : 0;
                $used = $piece > $room ? $piece % $room : $piece;
            }
        }

        return $count;
    }

    /** How wide its longest line is where nothing breaks it, in the size of its own letters. */
    public function widest(): float
    {
        return $this->widest / 1000;
    }

    /** Whether a character is as wide as it is high. */
    public static function isWide(string $character): bool
    {
        return preg_match('/^['.self::WIDE.']/u', $character) === 1;
    }

    /** @return list<string> */
    private static function pieces(string $word): array
    {
        if (preg_match('/[-\/\x80-\xFF]/', $word) !== 1) {
            return [$word];
        }
        if (preg_match(self::UNPARTED, $word) === 1) {
            return self::byDictionary($word);
        }
        $wide = self::WIDE;
        $around = "/(?<=[-\x{2010}-\x{2014}\/])(?=\S)|(?<=[$wide])(?![\p{M}\p{P}])|(?=[$wide])(?<![\p{Ps}\p{Pi}])/u";

        $pieces = Pieces::of($word, $around);

        return $pieces === [] ? [$word] : $pieces;
    }

    /** @return list<string> where ICU's dictionaries know words to end that nothing parts (UAX #14, class SA) */
    private static function byDictionary(string $word): array
    {
        /** @var IntlBreakIterator|null $breaks */
        static $breaks = null;
        $breaks ??= IntlBreakIterator::createLineInstance('th');
        if ($breaks === null || ! $breaks->setText($word)) {
            return [$word];
        }
        $pieces = [];
        $from = 0;
        foreach ($breaks as $to) {
            if (is_int($to) && $to > $from) {
                $pieces[] = substr($word, $from, $to - $from);
                $from = $to;
            }
        }

        return $pieces === [] ? [$word] : $pieces;
    }

    /** @param  array<int, int>  $table */
    private static function width(string $piece, array $table): int
    {
        $width = 0;
        if (preg_match('/^[\x20-\x7E]*$/', $piece) === 1) {
            for ($index = 0, $length = strlen($piece); $index < $length; $index++) {
                $width += $table[ord($piece[$index])];
            }

            return $width;
        }
        foreach (mb_str_split($piece) as $character) {
            $width += $table[mb_ord($character)] ?? Font::elsewhere($character);
        }

        return $width;
    }
}
