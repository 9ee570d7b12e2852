<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** What somebody wrote, said back to him in a message: on one line, and no longer than it helps. */
final class Echoed
{
    public const MOST = 80;

    /** In quotes. */
    public static function quoted(string $written): string
    {
        return '"'.self::short($written).'"';
    }

    public static function short(string $written, int $most = self::MOST): string
    {
        $line = (string) preg_replace('/[\s\p{Cc}]+/u', ' ', mb_scrub(mb_substr($written, 0, $most + 1), 'UTF-8'));

        return mb_strlen($line) > $most ? mb_substr($line, 0, $most - 1).'…' : $line;
    }
}
