<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** A text taken apart. */
final class Pieces
{
    public const LINE_ENDS = '/\r\n|\r|\n/';

    /**
     * What stands between the matches, without what is empty.
     *
     * @param  string  $between  a regular expression; blanks where nothing is said
     * @return list<string> none of a text that the expression cannot read (not UTF-8, with /u)
     */
    public static function of(string $text, string $between = '/\s+/'): array
    {
        $pieces = preg_split($between, $text, -1, PREG_SPLIT_NO_EMPTY);

        return $pieces === false ? [] : $pieces;
    }

    /** All before the first of these characters; the whole where there is none. */
    public static function before(string $text, string $marks): string
    {
        return substr($text, 0, strcspn($text, $marks));
    }
}
