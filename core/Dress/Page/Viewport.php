<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\Calc;
use Gnomic\Dress\Css\CssValues;

/** The screen for which media queries are answered (Media Queries 4): its size and what whoever looks at it prefers. */
final readonly class Viewport
{
    /** What a browser of today does not support; all else it does. */
    private const UNSUPPORTED = '/^\s*(?:-moz-|-ms-|margin-trim|-webkit-touch-callout|-webkit-hyphens|overflow\s*:\s*-moz|-apple-'
        .'|font\s*:\s*-apple|selector\(.*(?:-moz-|-ms-))/i';

    /** Conditions in conditions: deeper ones are nothing that somebody wrote. */
    private const DEEP = 12;

    public const NARROW = 390;

    /** @param  int  $width  CSS pixels */
    public function __construct(public int $width = 1280, public int $height = 800, public bool $isDark = false)
    {
    }

    public function dark(): self
    {
        return new self($this->width, $this->height, true);
    }

    /** The screen of a phone, for whoever prefers the same. */
    public function narrow(): self
    {
        return new self(self::NARROW, $this->height, $this->isDark);
    }

    /** @param  string  $media  a list of queries; empty: always */
    public function matches(string $media): bool
    {
        if (trim($media) === '') {
            return true;
        }
        foreach (CssValues::listed(strtolower($media)) as $query) {
            if ($this->query($query)) {
                return true;
            }
        }

        return false;
    }

    /** @param  string  $condition  of @supports */
    public function supports(string $condition): bool
    {
        return $this->all($condition, fn (string $one): bool => preg_match(self::UNSUPPORTED, $one) !== 1, 0);
    }

    /** @param  string  $condition  of @container; sizes are asked of the screen, styles are not known */
    public function contains(string $condition): bool
    {
        $bare = (string) preg_replace('/^\s*(?!not\b|style\b)[a-z_-][\w-]*\s+(?=\(|not\b)/i', '', $condition);

        return $this->all(strtolower($bare), fn (string $one): bool => $this->feature($one), 0);
    }

    private function query(string $query): bool
    {
        $isNot = preg_match('/^not\s+(?!\()/', $query) === 1;
        $query = (string) preg_replace('/^(?:only|not)\s+(?!\()/', '', $query);
        if (preg_match(
            '/^(all|screen|print|speech|tty|tv|projection|handheld|braille|embossed|aural)\b(?:\s+and\s+(.*))?$/sD',
            $query,
            $found,
        ) === 1) {
            $isType = in_array($found[1], ['all', 'screen'], true);
            $holds = $isType && (! isset($found[2]) || $this->all($found[2], $this->feature(...), 0));
        } else {
            $holds = $this->all($query, $this->feature(...), 0);
        }

        return $holds !== $isNot;
    }

    /**
     * Conditions joined by "and", "or" and "not".
     *
     * @param  callable(string): bool  $one  what stands in brackets
     */
    private function all(string $condition, callable $one, int $depth): bool
    {
        $condition = trim($condition);
        if ($depth > self::DEEP || $condition === '') {
            return false;
        }
        foreach ([' or ' => true, ' and ' => false] as $word => $isAny) {
            $parts = self::joined($condition, trim($word));
            if (count($parts) > 1) {
                foreach ($parts as $part) {
                    if ($this->all($part, $one, $depth + 1) === $isAny) {
                        return $isAny;
                    }
                }

                return ! $isAny;
            }
        }
        if (preg_match('/^not\b\s*(.+)$/sDi', $condition, $found) === 1) {
            return ! $this->all($found[1], $one, $depth + 1);
        }
        if ($condition[0] === '(' && str_ends_with($condition, ')')) {
            $inside = trim(substr($condition, 1, -1));

            return $inside !== '' && ($inside[0] === '(' || preg_match('/^not\b/i', $inside) === 1)
                ? $this->all($inside, $one, $depth + 1) : $one($inside);
        }

        return $one($condition);
    }

    /** @return list<string> */
    private static function joined(string $condition, string $word): array
    {
        $parts = [''];
        foreach (CssValues::words((string) preg_replace('/\)(?=\S)(?!\))/', ') ', $condition)) as $piece) {
            if (strtolower($piece) === $word) {
                $parts[] = '';
            } else {
                $parts[count($parts) - 1] .= ' '.$piece;
            }
        }

        return $parts;
    }

    private function feature(string $feature): bool
    {
        if (preg_match('/^(.+?)\s*([<>]=?|=)\s*(.+?)(?:\s*([<>]=?)\s*(.+))?$/sD', $feature, $found) === 1) {
            return $this->compared(trim($found[1]), $found[2], trim($found[3]))
                && (! isset($found[4]) || $this->compared(trim($found[3]), $found[4], trim($found[5] ?? '')));
        }
        [$name, $value] = CssValues::parted($feature, ':');
        $name = strtolower((string) preg_replace('/^-webkit-/', '', $name));

        return match (true) {
            in_array($name, ['min-width', 'min-inline-size'], true) => $this->width >= $this->length((string) $value, INF),
            in_array($name, ['max-width', 'max-inline-size'], true) => $this->width <= $this->length((string) $value, -INF),
            $name === 'min-height' => $this->height >= $this->length((string) $value, INF),
            $name === 'max-height' => $this->height <= $this->length((string) $value, -INF),
            in_array($name, ['width', 'device-width'], true) => $value === null || (float) $this->width === $this->length($value, NAN),
            in_array(
                $name,
                ['min-device-width', 'max-device-width'],
                true,
            ) => str_starts_with($name, 'min') === ($this->width >= $this->length((string) $value, 0.0)),
            $name === 'orientation' => $value === ($this->width >= $this->height ? 'landscape' : 'portrait'),
            $name === 'prefers-color-scheme' => $value === ($this->isDark ? 'dark' : 'light'),
            $name === 'prefers-reduced-motion', $name === 'prefers-contrast', $name === 'prefers-reduced-transparency',
            $name === 'prefers-reduced-data' => $value === 'no-preference',
            $name === 'forced-colors', $name === 'inverted-colors', $name === 'monochrome' => $value === 'none' || $value === '0',
            $name === 'hover', $name === 'any-hover' => $value === null || $value === 'hover',
            $name === 'pointer', $name === 'any-pointer' => $value === null || $value === 'fine',
            $name === 'scripting' => $value === null || $value === 'enabled',
            $name === 'color' => true,
            $name === 'update' => $value === 'fast',
            $name === 'display-mode' => $value === 'browser',
            $name === 'color-gamut' => $value === 'srgb',
            in_array(
                $name,
                ['min-resolution', 'min-device-pixel-ratio', 'min--moz-device-pixel-ratio'],
                true,
            ) => (float) $value <= 1.0 || str_ends_with((string) $value, 'dpi') && (float) $value <= 96,
            in_array($name, ['max-resolution', 'max-device-pixel-ratio'], true) => (float) $value >= 1.0,
            $name === 'min-aspect-ratio' => $this->ratio((string) $value) <= $this->width / $this->height,
            $name === 'max-aspect-ratio' => $this->ratio((string) $value) >= $this->width / $this->height,
            default => false,
        };
    }

    private function compared(string $one, string $how, string $two): bool
    {
        $value = fn (string $word): float => match ($word) {
            'width', 'inline-size' => (float) $this->width,
            'height', 'block-size' => (float) $this->height,
            default => $this->length($word, NAN),
        };
        [$one, $two] = [$value($one), $value($two)];

        return match ($how) {
            '<' => $one < $two,
            '<=' => $one <= $two,
            '>' => $one > $two,
            '>=' => $one >= $two,
            default => $one === $two,
        };
    }

    private function ratio(string $value): float
    {
        [$one, $two] = CssValues::parted($value, '/');

        return (float) $one / max(0.001, (float) ($two ?? 1));
    }

    /** CSS pixels; in queries an em is of the usual size. */
    private function length(string $value, float $else): float
    {
        return Calc::of($value, fn (string $word): ?float => preg_match(
            '/^([+-]?[\d.]+(?:e[+-]?\d+)?)(px|em|rem|vw|vh|pt|in|cm|mm)?$/D',
            $word,
            $found,
        ) === 1
            ? (float) $found[1] * match ($found[2] ?? '') {
                'em', 'rem' => 16.0,
                'vw' => $this->width / 100,
                'vh' => $this->height / 100,
                'pt' => 4 / 3,
                'in' => 96.0,
                'cm' => 96 / 2.54,
                'mm' => 9.6 / 2.54,
                default => 1.0,
            } : null) ?? $else;
    }
}
