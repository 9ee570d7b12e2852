<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

/** Values separated by commas, semicolons, tabs or bars, quoted as RFC 4180 has it. */
final class Delimited
{
    /** Columns that any program writes, empty ones with them. */
    private const WIDEST = 16_384;

    private const SEPARATORS = [',', ';', "\t", '|'];

    /** The separator that cuts the first records into the most even rows; null where none does. */
    public static function separatorOf(string $text): ?string
    {
        if (preg_match('/^sep=(.)\r?\n/i', $text, $found) === 1) {
            return $found[1];
        }
        $best = null;
        $most = 0.0;
        foreach (self::SEPARATORS as $separator) {
            $counts = [];
            $named = 0;
            foreach (self::rows(substr($text, 0, 60_000), $separator) as $cells) {
                if ($cells !== ['']) {
                    $counts[] = count($cells);
                    $named = max($named, count($counts) > 15 ? 0 : TableColumns::named($cells));
                }
                if (count($counts) >= 30) {
                    break;
                }
            }
            // Lines above the table, and below it, are cut otherwise; most are rows.
            $times = array_count_values(array_filter($counts, fn (int $count): bool => $count > 1));
            arsort($times);
            $usual = array_key_first($times);
            if ($usual === null || ($named < 2 && $counts[0] < 2 && $times[$usual] < 2)) {
                continue;
            }
            $score = $times[$usual] / count($counts) * 100 + $usual + ($named > 1 ? 100 * $named : 0);
            if ($score > $most) {
                [$best, $most] = [$separator, $score];
            }
        }

        return $best;
    }

    /**
     * @return iterable<int, list<string>> by the number of the record, the first being 1
     *
     * @throws TableIsWrong where a row has more cells than any program writes
     */
    public static function rows(string $text, string $separator): iterable
    {
        $text = (string) preg_replace('/^sep=.\r?\n/i', '', $text);
        $length = strlen($text);
        $ends = $separator."\r\n";
        $cells = [];
        $number = 1;
        for ($at = 0; $at <= $length;) {
            if ($at < $length && $text[$at] === '"') {
                [$cell, $at] = self::quoted($text, $at + 1);
                // What stands behind a closing quote belongs to the cell all the same.
                $rest = strcspn($text, $ends, $at);
                $cell .= rtrim(substr($text, $at, $rest));
                $at += $rest;
            } else {
                $rest = strcspn($text, $ends, $at);
                $cell = substr($text, $at, $rest);
                $at += $rest;
            }
            $cells[] = $cell;
            if (count($cells) > self::WIDEST) {
                throw TableIsWrong::tooManyColumns(count($cells));
            }
            if ($at < $length && $text[$at] === $separator) {
                $at++;

                continue;
            }
            yield $number++ => $cells;
            $cells = [];
            if ($at < $length && $text[$at] === "\r") {
                $at++;
                $at += $at < $length && $text[$at] === "\n" ? 1 : 0;
            } else {
                $at++;
            }
            if ($at >= $length) {
                return;
            }
        }
    }

    /** @return array{string, int} the cell, and where its closing quote is behind us */
    private static function quoted(string $text, int $at): array
    {
        $cell = '';
        while (true) {
            $quote = strpos($text, '"', $at);
            if ($quote === false) {
                return [$cell.substr($text, $at), strlen($text)];
            }
            $cell .= substr($text, $at, $quote - $at);
            if (($text[$quote + 1] ?? '') !== '"') {
                return [$cell, $quote + 1];
            }
            $cell .= '"';
            $at = $quote + 2;
        }
    }
}
