<?php

declare(strict_types=1);

namespace Gnomic\Dates;

/** Names of months as they begin, in English and the languages whose feeds commonly spell them out. */
final class Months
{
    /** Longer beginnings come before shorter ones: French "juin" and "juillet" share three letters. */
    private const BEGINNINGS = [
        'juin' => 6, 'juil' => 7, 'janv' => 1,
        'jan' => 1, 'ene' => 1, 'gen' => 1, 'jän' => 1,
        'feb' => 2, 'fev' => 2, 'fév' => 2,
        'mar' => 3, 'mär' => 3, 'mrz' => 3, 'maa' => 3,
        'apr' => 4, 'avr' => 4, 'abr' => 4,
        'may' => 5, 'mai' => 5, 'mag' => 5, 'mei' => 5,
        'jun' => 6, 'giu' => 6, 'jul' => 7, 'lug' => 7,
        'aug' => 8, 'aou' => 8, 'aoû' => 8, 'ago' => 8,
        'sep' => 9, 'set' => 9,
        'oct' => 10, 'okt' => 10, 'ott' => 10, 'out' => 10,
        'nov' => 11,
        'dec' => 12, 'dez' => 12, 'déc' => 12, 'dic' => 12,
    ];

    public static function numberOf(string $name): ?int
    {
        $name = mb_strtolower($name);
        foreach (self::BEGINNINGS as $beginning => $number) {
            if (str_starts_with($name, $beginning)) {
                return $number;
            }
        }

        return null;
    }
}
