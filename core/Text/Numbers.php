<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** Numbers and lists as a sentence says them. */
final class Numbers
{
    private const WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    /** In a word up to twelve, in digits beyond and for parts. */
    public static function spoken(int|float $number): string
    {
        return (float) (int) $number === (float) $number ? (self::WORDS[(int) $number] ?? (string) (int) $number) : self::plain($number);
    }

    /** "one source", "three sources". */
    public static function counted(int $count, string $noun): string
    {
        return self::spoken($count).' '.$noun.($count === 1 ? '' : 's');
    }

    /** "4.6", "4". */
    public static function plain(int|float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }

    /**
     * "reviews", "reviews and posts", "a, b and c".
     *
     * @param  list<string>  $items
     */
    public static function listed(array $items): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items)." and $last";
    }
}
