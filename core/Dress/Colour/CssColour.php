<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

use Gnomic\Dress\Css\Calc;
use Gnomic\Dress\Css\CssValues;

/**
 * Reads a colour as style sheets write it (CSS Color 4 and 5): names, hexadecimal, rgb, hsl, hwb, lab, lch, oklab, oklch, color, mixes,
 * relative colours and light-dark. What a browser would not understand is null.
 */
final class CssColour
{
    /** Colours in colours: deeper ones are nothing that somebody wrote. */
    private const DEEP = 12;

    /** @var array<string, string> */
    private const SYSTEM = [
        'canvas' => '#ffffff', 'canvastext' => '#000000', 'linktext' => '#0000ee', 'visitedtext' => '#551a8b', 'buttonface' => '#efefef',
        'buttontext' => '#000000', 'buttonborder' => '#000000', 'field' => '#ffffff', 'fieldtext' => '#000000', 'graytext' => '#808080',
        'highlight' => '#3399ff', 'highlighttext' => '#ffffff', 'accentcolor' => '#0075ff', 'accentcolortext' => '#ffffff',
    ];

    private const SYSTEM_DARK = [
        'canvas' => '#121212', 'canvastext' => '#ffffff', 'linktext' => '#9e9eff', 'visitedtext' => '#d0adf0', 'buttonface' => '#6b6b6b',
        'buttontext' => '#ffffff', 'buttonborder' => '#ffffff', 'field' => '#3b3b3b', 'fieldtext' => '#ffffff',
    ];

    /** @param  Colour  $current  of the text, for "currentcolor" @param  bool  $isDark  of the two of light-dark() and of the system */
    private function __construct(private readonly Colour $current, private readonly bool $isDark)
    {
    }

    /** @param  string  $css  without var() */
    public static function read(string $css, ?Colour $current = null, bool $isDark = false): ?Colour
    {
        return (new self($current ?? Colour::hex('#000'), $isDark))->colour(trim($css), 0);
    }

    private function colour(string $css, int $depth): ?Colour
    {
        if ($depth > self::DEEP || $css === '') {
            return null;
        }
        if ($css[0] === '#') {
            return Colour::tryHex($css);
        }
        $call = CssValues::call($css);
        if ($call === null) {
            return $this->named(strtolower($css));
        }
        [$name, $inside] = $call;

        return match ($name) {
            'light-dark' => $this->lightDark($inside, $depth),
            'color-mix' => $this->mix($inside, $depth),
            'rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'color' => $this->channels($name, $inside, $depth),
            default => null,
        };
    }

    private function named(string $word): ?Colour
    {
        $system = $this->isDark ? self::SYSTEM_DARK + self::SYSTEM : self::SYSTEM;

        return match (true) {
            $word === 'currentcolor' => $this->current,
            $word === 'transparent' => Colour::of(0, 0, 0, 0),
            isset($system[$word]) => Colour::hex($system[$word]),
            isset(ColourNames::ALL[$word]) => Colour::hex(ColourNames::ALL[$word]),
            default => null,
        };
    }

    private function lightDark(string $inside, int $depth): ?Colour
    {
        $both = CssValues::listed($inside);

        return count($both) === 2 ? $this->colour($both[$this->isDark ? 1 : 0], $depth + 1) : null;
    }

    /** color-mix(in SPACE, COLOUR SHARE, COLOUR SHARE): CSS Color 5, 3. */
    private function mix(string $inside, int $depth): ?Colour
    {
        $parts = CssValues::listed($inside);
        $how = CssValues::words(strtolower($parts[0] ?? ''));
        if (count($parts) !== 3 || ($how[0] ?? '') !== 'in') {
            return null;
        }
        $colours = $shares = [];
        foreach ([$parts[1], $parts[2]] as $part) {
            $words = CssValues::words($part);
            $share = null;
            foreach ($words as $place => $word) {
                if (str_ends_with($word, '%') && is_numeric(substr($word, 0, -1))) {
                    $share = (float) $word / 100;
                    unset($words[$place]);
                }
            }
            $colour = $this->colour(implode(' ', $words), $depth + 1);
            if ($colour === null) {
                return null;
            }
            [$colours[], $shares[]] = [$colour, $share];
        }
        $one = $shares[0] ?? ($shares[1] === null ? 0.5 : 1 - $shares[1]);
        $two = $shares[1] ?? 1 - $one;
        $sum = $one + $two;
        if ($sum <= 0.0 || min($one, $two) < 0.0) {
            return null;
        }

        return ColourMix::of(
            $how[1] ?? 'oklab',
            $colours[0],
            $colours[1],
            $one / $sum,
            ($how[2] ?? '') === 'longer',
            min(1.0, $sum),
        );
    }

    /** Three channels and an opacity, of their own or of another colour ("from"). */
    private function channels(string $name, string $inside, int $depth): ?Colour
    {
        $words = str_contains($inside, ',')
            ? array_merge(...array_map(CssValues::words(...), CssValues::listed(strtr($inside, ['/' => ','])))) : self::slashed($inside);
        $origin = null;
        if (strtolower($words[0] ?? '') === 'from') {
            $origin = $this->colour($words[1] ?? '', $depth + 1);
            $words = array_slice($words, 2);
            if ($origin === null) {
                return null;
            }
        }
        $space = $name === 'color' ? strtolower((string) array_shift($words)) : rtrim($name, 'a');
        $space = in_array($name, ['rgb', 'rgba'], true) ? 'rgb' : ($name === 'oklab' || $name === 'lab' ? $name : $space);
        if (count($words) !== 3 && count($words) !== 4) {
            return null;
        }
        $scope = $origin === null ? [] : ColourSpaces::scope($space, $origin);
        $values = [];
        foreach (array_slice($words, 0, 3) as $place => $word) {
            $values[] = $this->number($word, $scope, ColourSpaces::whole($space, $place), ColourSpaces::isHue($space, $place));
        }
        $alpha = isset($words[3]) ? $this->number($words[3], $scope, 1.0, false) : ($origin->alpha ?? 1.0);
        [$first, $second, $third] = $values;

        return $first === null || $second === null || $third === null || $alpha === null
            ? null : ColourSpaces::colour($space, [$first, $second, $third], max(0.0, min(1.0, $alpha)));
    }

    /** @return list<string> words, without the stroke before the opacity */
    private static function slashed(string $inside): array
    {
        return array_values(
            array_filter(CssValues::words(implode(' / ', CssValues::split($inside, '/'))), fn (string $word): bool => $word !== '/'),
        );
    }

    /**
     * @param  array<string, float>  $scope  channels of another colour, by their letters
     * @param  float  $whole  what a hundred per cent are
     */
    private function number(string $word, array $scope, float $whole, bool $isHue): ?float
    {
        return Calc::of($word, function (string $word) use ($scope, $whole, $isHue): ?float {
            $word = strtolower($word);
            if (isset($scope[$word])) {
                return $scope[$word];
            }
            if ($word === 'none') {
                return 0.0;
            }
            if (preg_match('/^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(%|deg|rad|grad|turn)?$/D', $word, $found) !== 1) {
                return null;
            }
            $number = (float) $found[1];

            return match ($found[2] ?? '') {
                '' => $number,
                '%' => $isHue ? null : $number / 100 * $whole,
                'deg' => $isHue ? $number : null,
                'rad' => $isHue ? rad2deg($number) : null,
                'grad' => $isHue ? $number * 0.9 : null,
                default => $isHue ? $number * 360 : null,
            };
        });
    }
}
