<?php

declare(strict_types=1);

namespace Gnomic\Shape\Lines;

/** What words are predicted to be set in. */
enum Font: string
{
    /** The page's own, which nobody here has measured: the mean of the fonts that ship stands for it. */
    case Page = 'page';
    case Literata = 'literata';
    case SchibstedGrotesk = 'schibsted-grotesk';

    /** Of a character that no table has, in thousandths: wide scripts and pictures fill the em, marks take no room. */
    private const FULL = 1000;

    private const OTHER = 560;

    /** @return array<int, int> advance widths by code point, in thousandths of the size */
    public function advances(bool $bold): array
    {
        /** @var array<string, array<int, int>> $read */
        static $read = [];

        return $read[$this->value.$bold] ??= $this === self::Page ? self::mean($bold) : self::table("$this->value ".($bold ? 600 : 400));
    }

    /** How long a text is in one line, by the size of its letters: nothing is taken apart for it. */
    public function extent(string $text): float
    {
        $advances = $this->advances(false);
        $extent = 0;
        if (preg_match('/[^\x0A\x20-\x7E]/', $text) !== 1) {
            foreach (array_count_values(str_split($text)) as $letter => $times) {
                $extent += $times * ($advances[ord((string) $letter)] ?? 0);
            }

            return $extent / 1000;
        }
        foreach (array_count_values(mb_str_split($text)) as $character => $times) {
            $extent += $times * ($advances[mb_ord((string) $character)] ?? self::elsewhere((string) $character));
        }

        return $extent / 1000;
    }

    /** Thousandths of the size for a character that is in no table. @param  string  $character  one, UTF-8 */
    public static function elsewhere(string $character): int
    {
        return match (true) {
            preg_match('/^[\p{M}\p{Cf}]/u', $character) === 1 => 0,
            Paragraph::isWide($character) => self::FULL,
            default => self::OTHER,
        };
    }

    /** @return array<int, int> */
    private static function mean(bool $bold): array
    {
        $mean = [];
        $other = self::SchibstedGrotesk->advances($bold);
        foreach (self::Literata->advances($bold) as $point => $width) {
            $mean[$point] = intdiv($width + ($other[$point] ?? $width), 2);
        }

        return $mean;
    }

    /** @return array<int, int> */
    private static function table(string $name): array
    {
        $table = [];
        foreach (AdvanceTables::ALL[$name] ?? [] as $first => $widths) {
            foreach (explode(' ', $widths) as $index => $width) {
                $table[$first + $index] = (int) $width;
            }
        }

        return $table;
    }
}
