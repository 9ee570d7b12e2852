<?php

declare(strict_types=1);

namespace Gnomic\Dates;

use DateTimeZone;

/** Zones as dates write them: offsets, the names of RFC 822 and a few that are common beside them. */
final class Zones
{
    /** Hours from UTC. Names that stand for several zones (IST, CST of China) keep RFC 822's meaning or are left out. */
    private const NAMES = [
        'Z' => 0, 'UT' => 0, 'UTC' => 0, 'GMT' => 0, 'WET' => 0,
        'EST' => -5, 'EDT' => -4, 'CST' => -6, 'CDT' => -5, 'MST' => -7, 'MDT' => -6, 'PST' => -8, 'PDT' => -7,
        'BST' => 1, 'WEST' => 1, 'CET' => 1, 'MEZ' => 1, 'CEST' => 2, 'MESZ' => 2, 'EET' => 2, 'EEST' => 3, 'MSK' => 3,
        'JST' => 9, 'KST' => 9, 'AEST' => 10, 'AEDT' => 11, 'NZST' => 12, 'NZDT' => 13,
    ];

    /** Null for a name that is not known: RFC 2822 §4.3 has the reader take such a date as naming no zone. */
    public static function named(?string $written): ?DateTimeZone
    {
        $zone = strtoupper(str_replace("\u{2212}", '-', (string) $written));
        if (preg_match('/^(?:UTC?|GMT)?\s*([+-])(\d{1,2}):?(\d{2})?$/', $zone, $offset) === 1) {
            $hours = (int) $offset[2];
            $minutes = (int) ($offset[3] ?? 0);

            return $hours <= 14 && $minutes <= 59 ? new DateTimeZone(sprintf('%s%02d:%02d', $offset[1], $hours, $minutes)) : null;
        }
        $hours = self::NAMES[$zone] ?? null;

        return $hours === null ? null : new DateTimeZone(sprintf('%s%02d:00', $hours < 0 ? '-' : '+', abs($hours)));
    }
}
