<?php

declare(strict_types=1);

namespace Gnomic\Dress\Css;

use Closure;

/** Sums of CSS (Values and Units 4, 10): calc, min, max, clamp, round, pow and their kin, and what stands in their brackets. */
final class Calc
{
    /** Brackets in brackets: deeper ones are no sum that somebody wrote. */
    private const DEEP = 24;

    /** Characters of a sum that somebody wrote. */
    private const LONGEST = 2_000;

    /** Of sums; without end is as much as anything can be. */
    private const CONSTANTS = ['pi' => M_PI, 'e' => M_E, 'infinity' => 1e7, '-infinity' => -1e7];

    /** @param  Closure(string): (float|null)  $read  of a number with its unit, or of a word; null where it is neither */
    private function __construct(private readonly Closure $read)
    {
    }

    /**
     * @param  Closure(string): (float|null)  $read  as in the constructor
     * @return float|null null where it is no sum, or one of what cannot be read
     */
    public static function of(string $value, Closure $read): ?float
    {
        if (strlen($value) > self::LONGEST) {
            return null;
        }

        return (new self($read))->value(trim($value), 0);
    }

    private function value(string $value, int $depth): ?float
    {
        if ($depth > self::DEEP || $value === '') {
            return null;
        }
        $call = CssValues::call($value);
        if ($call === null) {
            return match (true) {
                $value[0] === '(' && str_ends_with($value, ')') => $this->sum(substr($value, 1, -1), $depth),
                $depth > 0 && isset(self::CONSTANTS[strtolower($value)]) => self::CONSTANTS[strtolower($value)],
                default => ($this->read)($value),
            };
        }
        [$name, $inside] = $call;
        $strategy = 'nearest';
        if ($name === 'round' && preg_match('/^\s*(nearest|up|down|to-zero)\s*,\s*(.*)$/sDi', $inside, $found) === 1) {
            [$strategy, $inside] = [strtolower($found[1]), $found[2]];
        }
        $of = [];
        foreach (CssValues::listed($inside) as $one) {
            $of[] = $this->sum($one, $depth);
        }
        if (in_array(null, $of, true)) {
            return null;
        }
        $of = array_filter($of, is_float(...));

        return match (true) {
            $name === 'calc' => $of[0] ?? null,
            $name === 'min' && $of !== [] => min($of),
            $name === 'max' && $of !== [] => max($of),
            $name === 'clamp' && count($of) === 3 => max($of[0], min($of[1], $of[2])),
            $name === 'abs' && count($of) === 1 => abs($of[0]),
            $name === 'sign' && count($of) === 1 => (float) ($of[0] <=> 0.0),
            $name === 'round' && $of !== [] && ($of[1] ?? 1.0) !== 0.0 => self::rounded($strategy, $of[0], abs($of[1] ?? 1.0)),
            $name === 'mod' && count($of) === 2 && $of[1] !== 0.0 => $of[0] - floor($of[0] / $of[1]) * $of[1],
            $name === 'rem' && count($of) === 2 && $of[1] !== 0.0 => fmod($of[0], $of[1]),
            $name === 'hypot' && $of !== [] => sqrt(array_sum(array_map(fn (float $one): float => $one ** 2, $of))),
            $name === 'log' && count($of) === 2 && $of[0] > 0.0 && $of[1] > 0.0 && $of[1] !== 1.0 => log($of[0], $of[1]),
            $name === 'pow' && count($of) === 2 => self::finite($of[0] ** $of[1]),
            count($of) === 1 => self::finite(match ($name) {
                'sqrt' => sqrt($of[0]),
                'exp' => exp($of[0]),
                'log' => $of[0] > 0.0 ? log($of[0]) : NAN,
                'sin' => sin($of[0]),
                'cos' => cos($of[0]),
                'tan' => tan($of[0]),
                default => NAN,
            }),
            default => null,
        };
    }

    private static function rounded(string $strategy, float $value, float $step): float
    {
        $steps = $value / $step;

        return $step * match ($strategy) {
            'up' => ceil($steps),
            'down' => floor($steps),
            'to-zero' => (float) (int) $steps,
            default => floor($steps + 0.5),
        };
    }

    private static function finite(float $value): ?float
    {
        return is_finite($value) ? $value : null;
    }

    /** Terms with spaces around "+" and "-". */
    private function sum(string $sum, int $depth): ?float
    {
        $total = 0.0;
        $sign = 1.0;
        $product = [];
        foreach ([...CssValues::words(self::spaced($sum)), '+'] as $word) {
            if ($word === '+' || $word === '-') {
                $value = $this->product($product, $depth);
                if ($value === null) {
                    return null;
                }
                $total += $sign * $value;
                [$sign, $product] = [$word === '-' ? -1.0 : 1.0, []];
            } else {
                $product[] = $word;
            }
        }

        return $total;
    }

    /** @param  list<string>  $words  values with "*" and "/" between them */
    private function product(array $words, int $depth): ?float
    {
        $value = $this->value($words[0] ?? '', $depth + 1);
        for ($at = 1, $count = count($words); $at < $count && $value !== null; $at += 2) {
            $next = $this->value($words[$at + 1] ?? '', $depth + 1);
            $value = match (true) {
                $next === null => null,
                $words[$at] === '*' => $value * $next,
                $words[$at] === '/' && $next !== 0.0 => $value / $next,
                default => null,
            };
        }

        return $value;
    }

    /** With spaces around "*" and "/" outside of brackets, where none need be. */
    private static function spaced(string $sum): string
    {
        foreach (['*', '/'] as $sign) {
            $sum = implode(" $sign ", CssValues::split($sum, $sign));
        }

        return $sum;
    }
}
