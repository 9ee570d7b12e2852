<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use DateTimeImmutable;
use Gnomic\Text\Words;

/** Whether a file writes the day or the month first, where it writes dates in figures. */
enum DateOrder: string
{
    case DayFirst = 'day first';
    case MonthFirst = 'month first';

    private const FIGURES = '~^(?<one>\d{1,2})(?<sign>[-/.])(?<two>\d{1,2})\k<sign>(?<year>\d{4}|\d{2})(?<rest>(?:[T\s,].*)?)$~';

    /**
     * The order by the file's own evidence: 31/12 rules out the month first, 12/31 the day; points put the day first.
     *
     * @param  list<string>  $dates
     * @return self|null null where both fit, and the owner has to say; also where they contradict each other
     */
    public static function evident(array $dates): ?self
    {
        $rulesOut = ['day first' => false, 'month first' => false];
        $doubtful = $points = false;
        foreach ($dates as $date) {
            if (preg_match(self::FIGURES, trim($date), $found) !== 1) {
                continue;
            }
            [$one, $two] = [(int) $found['one'], (int) $found['two']];
            $rulesOut['month first'] = $rulesOut['month first'] || $one > 12;
            $rulesOut['day first'] = $rulesOut['day first'] || $two > 12;
            $points = $points || $found['sign'] === '.';
            $doubtful = true;
        }

        return match (true) {
            ! $doubtful => self::DayFirst, // nothing depends on it
            $rulesOut['day first'] && $rulesOut['month first'] => null,
            $rulesOut['month first'] => self::DayFirst,
            $rulesOut['day first'] => self::MonthFirst,
            default => $points ? self::DayFirst : null,
        };
    }

    /** Days since the end of 1899, as spreadsheet programs leave them in text when a column lost its format. */
    private static function serial(float $days): string
    {
        $date = (new DateTimeImmutable('1899-12-30T00:00:00Z'))->modify('+'.(int) round($days * 86_400).' seconds');

        return $date->format(fmod($days, 1.0) === 0.0 ? 'Y-m-d' : 'Y-m-d H:i:s');
    }

    /** A date in figures, or a serial number, in the order of ISO 8601; anything else as it is. */
    public function iso(string $date): string
    {
        if (preg_match('/^[2-7]\d{4}(?:[.,]\d+)?$/', trim($date)) === 1) {
            return self::serial((float) str_replace(',', '.', trim($date)));
        }
        if (preg_match(self::FIGURES, trim($date), $found) !== 1) {
            return $date;
        }
        [$day, $month] = $this === self::DayFirst ? [$found['one'], $found['two']] : [$found['two'], $found['one']];
        $year = strlen($found['year']) === 2 ? ((int) $found['year'] < 50 ? '20' : '19').$found['year'] : $found['year'];
        $clock = trim($found['rest'], " \t,T");
        if (preg_match('/^(\d{1,2}):(\d{2})(?::(\d{2}))?\s*([ap])\.?m\.?$/i', $clock, $time) === 1) {
            $hour = (int) $time[1] % 12 + (strtolower($time[4]) === 'p' ? 12 : 0);
            $clock = sprintf('%02d:%s:%s', $hour, $time[2], Words::filled($time[3]) ?? '00');
        }

        return sprintf('%s-%02d-%02d', $year, (int) $month, (int) $day).($clock === '' ? '' : " $clock");
    }
}
