<?php

declare(strict_types=1);

namespace Gnomic\Dates;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Reads dates as feeds, tables and services write them: RFC 3339 and the W3C's profile of ISO 8601, RFC 822 and 2822,
 * the three HTTP forms of RFC 9110 §5.6.7, and the common mistakes (no zone, a blank for the T, full or foreign month
 * names, two-digit years, a wrong weekday, 24:00, seconds since 1970).
 */
final class DateReader
{
    private const CLOCK = '(?<h>\d{1,2}):(?<i>\d{2})(?::(?<s>\d{2})(?:[.,](?<u>\d+))?)?\s*(?<half>[ap]\.?m\.?)?';

    private const ZONE = '(?<zone>[A-Za-z]{1,5}(?:\s*[+-]\d{1,2}:?\d{0,2})?|[+\-\x{2212}]\d{1,2}:?\d{0,2})?';

    /**
     * @param  DateTimeZone  $assumed  the zone of a date that names none, or one that is not known
     * @return DateTimeImmutable|null in the zone that was written, to the millionth of a second; null where no date can be made out
     */
    public static function read(string $written, DateTimeZone $assumed = new DateTimeZone('UTC')): ?DateTimeImmutable
    {
        // Comments are legal in RFC 2822 dates: "Thu, 1 Jan 2004 00:00:00 +0000 (UTC)".
        $text = trim((string) preg_replace('/\([^()]*\)/', ' ', mb_substr($written, 0, 100)));

        return self::iso($text, $assumed) ?? self::sinceEpoch($text) ?? self::named($text, $assumed);
    }

    private static function iso(string $text, DateTimeZone $assumed): ?DateTimeImmutable
    {
        $pattern = '~^(?<y>\d{4})(?:[-/.]?(?<m>\d{1,2})(?:[-/.]?(?<d>\d{1,2})'
            .'(?:(?:[Tt]|,?\s+|:)(?<h>\d{1,2})(?::?(?<i>\d{2})(?::?(?<s>\d{2})(?:[.,](?<u>\d+))?)?)?\s*'.self::ZONE.')?)?)?\.?$~u';
        if (preg_match($pattern, $text, $parts, PREG_UNMATCHED_AS_NULL) !== 1 || preg_match('/^\d{5}$|^\d{7}$|^\d{9,13}$/', $text) === 1) {
            return null;
        }

        return self::made($parts, (int) ($parts['m'] ?? 1), $assumed);
    }

    private static function sinceEpoch(string $text): ?DateTimeImmutable
    {
        return match (preg_match('/^\d{9,13}$/', $text) === 1 ? strlen($text) : 0) {
            9, 10 => new DateTimeImmutable("@$text"),
            12, 13 => new DateTimeImmutable('@'.substr($text, 0, -3).'.'.substr($text, -3)),
            default => null,
        };
    }

    /** Dates with a month's name: day first, month first, or in the order of C's asctime. */
    private static function named(string $text, DateTimeZone $assumed): ?DateTimeImmutable
    {
        $text = (string) preg_replace('/^\p{L}+\.?,\s*|^(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?\s+/iu', '', $text);
        $month = '(?<month>\p{L}{3,12})\.?';
        $forms = [
            '/^(?<d>\d{1,2})(?:st|nd|rd|th|\.)?[\s-]+(?:de\s+)?'.$month.'[\s,-]+(?:de\s+)?(?<y>\d{2,4})(?:,?\s+(?:at\s+)?'.self::CLOCK
                .'\s*'.self::ZONE.')?$/iu',
            '/^'.$month.'\s+(?<d>\d{1,2})(?:st|nd|rd|th)?,?\s+(?<y>\d{4})(?:,?\s+(?:at\s+)?'.self::CLOCK.'\s*'.self::ZONE.')?$/iu',
            '/^'.$month.'\s+(?<d>\d{1,2})\s+'.self::CLOCK.'\s+(?:'.self::ZONE.'\s+)?(?<y>\d{4})$/iu',
        ];
        foreach ($forms as $form) {
            if (preg_match($form, $text, $parts, PREG_UNMATCHED_AS_NULL) === 1) {
                return self::made($parts, Months::numberOf($parts['month']), $assumed);
            }
        }

        return null;
    }

    /** @param  array<string|null>  $parts */
    private static function made(array $parts, ?int $month, DateTimeZone $assumed): ?DateTimeImmutable
    {
        $year = self::year((string) $parts['y']);
        $day = (int) ($parts['d'] ?? 1);
        [$hour, $minute, $second] = [(int) ($parts['h'] ?? 0), (int) ($parts['i'] ?? 0), (int) ($parts['s'] ?? 0)];
        $half = strtolower((string) ($parts['half'] ?? ''));
        if ($half !== '' && $hour <= 12) {
            $hour = $hour % 12 + ($half[0] === 'p' ? 12 : 0);
        }
        $midnightAfter = $hour === 24 && $minute === 0 && $second === 0;
        if ($month === null || ! checkdate($month, $day, $year) || ($hour > 23 && ! $midnightAfter) || $minute > 59 || $second > 60) {
            return null;
        }

        return (new DateTimeImmutable('@0'))
            ->setTimezone(Zones::named($parts['zone'] ?? null) ?? $assumed)
            ->setDate($year, $month, $day)
            // a leap second is shown as the one before it
            ->setTime($hour, $minute, min($second, 59), self::millionths($parts['u'] ?? null));
    }

    private static function millionths(?string $fraction): int
    {
        return (int) substr(str_pad((string) $fraction, 6, '0'), 0, 6);
    }

    /** RFC 2822 §4.3: two digits below 50 are of this century, the others, and three digits, count from 1900. */
    private static function year(string $digits): int
    {
        return (int) $digits + match (strlen($digits)) {
            2 => (int) $digits < 50 ? 2000 : 1900,
            3 => 1900,
            default => 0,
        };
    }
}
