<?php

declare(strict_types=1);

namespace App\Editions;

/** Products of numbers in style sheets, worked out (CSS Values 4, calc() and min()). */
final class StyleProducts
{
    /** Numbers with units or without. */
    private const TERM = '-?[\d.]+(?:[a-z]+|%)?(?:[*\/]-?[\d.]+(?:[a-z]+|%)?)*';

    private const PRODUCT = '/calc\(('.self::TERM.')\)/';

    private const LEAST = '/min\(('.self::TERM.'),('.self::TERM.')\)/';

    /** With products, and the lesser of two lengths of one unit. */
    public static function workedOut(string $css): string
    {
        if (str_contains($css, 'min(')) {
            $css = (string) preg_replace_callback(self::LEAST, function (array $two): string {
                [$one, $other] = [self::product($two[1]), self::product($two[2])];

                return $one === null || $other === null || $one[1] !== $other[1]
                    ? $two[0] : self::written(min($one[0], $other[0]), $one[1]);
            }, $css);
        }
        if (str_contains($css, 'calc(')) {
            $css = (string) preg_replace_callback(self::PRODUCT, function (array $found): string {
                $product = self::product($found[1]);

                return $product === null ? $found[0] : self::written(...$product);
            }, $css);
        }

        return $css;
    }

    /** @return array{float, string}|null a number and its unit; null where it has none: a length times a length is no length */
    private static function product(string $term): ?array
    {
        preg_match_all('/([*\/]?)(-?[\d.]+)([a-z%]*)/', $term, $factors, PREG_SET_ORDER);
        $value = 1.0;
        foreach ($factors as [, $sign, $number]) {
            $value = $sign === '/' ? fdiv($value, (float) $number) : $value * (float) $number;
        }
        $units = array_filter(array_column($factors, 3), fn (string $unit): bool => $unit !== '');

        return is_finite($value) && count($units) < 2 ? [$value, implode('', $units)] : null;
    }

    /** To a ten-thousandth. */
    private static function written(float $value, string $unit): string
    {
        $written = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

        return ($written === '-0' ? '0' : $written).$unit;
    }
}
