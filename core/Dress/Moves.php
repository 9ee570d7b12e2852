<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;

/** A few moves in place of many pickers: each changes several tokens of a look by a step that is seen. */
enum Moves: string
{
    case Calmer = 'calmer';
    case Stronger = 'stronger';
    case Closer = 'closer';
    case Airier = 'airier';
    case Sharper = 'sharper';
    case Rounder = 'rounder';

    /** Tokens that speak in the accent. */
    private const ACCENTED = ['accent', 'rating', 'link', 'control'];

    private const CHROMA = 1.35;

    /** Least chroma that can be made stronger: below it there is no colour to speak of. */
    private const COLOURED = 0.015;

    public function on(Look $look): Look
    {
        return match ($this) {
            self::Calmer => self::stronger($look, -1),
            self::Stronger => self::stronger($look, 1),
            self::Closer => self::airier($look, -1),
            self::Airier => self::airier($look, 1),
            self::Sharper => self::rounder($look, -1),
            self::Rounder => self::rounder($look, 1),
        };
    }

    /** One colour for all that speaks up: names, glyphs, links, controls. What cannot be read then is the guard's to mend. */
    public static function accented(Look $look, Colour $accent): Look
    {
        $with = array_fill_keys(self::ACCENTED, $accent->withAlpha(1.0)->toHex());
        $dark = Oklch::of($accent);
        // On dark grounds the same hue, lighter.
        $lighter = $dark->withLightness(max($dark->lightness, 0.78))->withChroma(min($dark->chroma, 0.14));
        $onDark = array_fill_keys(self::ACCENTED, $lighter->toColour()->toHex());

        return self::changed($look, $look->light->with($with), $look->dark->with($onDark), []);
    }

    private static function stronger(Look $look, int $way): Look
    {
        $by = self::CHROMA ** $way;
        $moved = function (Palette $palette) use ($by, $way): Palette {
            $with = [];
            foreach (self::ACCENTED as $token) {
                $colour = Oklch::of($palette->sure($token));
                $isGrey = $colour->chroma < self::COLOURED;
                $with[$token] = $isGrey ? $palette->colours[$token] : $colour->withChroma($colour->chroma * $by)->toColour()->toHex();
            }
            // Lines step back from the ground, or come forward.
            $line = Oklch::of($palette->sure('line'));
            $away = $line->lightness - Oklch::of($palette->solid())->lightness;
            $with['line'] = $line->withLightness($line->lightness + $away * 0.25 * $way)->toColour()->toHex();

            return $palette->with($with);
        };
        $tokens = $look->tokens;

        return self::changed($look, $moved($look->light), $moved($look->dark), [
            'weight' => self::bound($tokens->weight + 100 * $way, 400, 900),
            'rule' => $tokens->isBoxed() ? $tokens->rule : self::bound($tokens->rule + $way, 0, 3),
            'edge' => $tokens->edge === 0 ? 0 : self::bound($tokens->edge + $way, 1, 3),
            'shadow' => $tokens->isBoxed() ? self::bound($tokens->shadow + $way, 0, 4) : $tokens->shadow,
        ]);
    }

    private static function airier(Look $look, int $way): Look
    {
        $tokens = $look->tokens;

        return self::changed($look, $look->light, $look->dark, [
            'gap' => self::bound(($tokens->gap ?? 40) + 8 * $way, 4, 80),
            'inset' => $tokens->isBoxed() ? self::bound($tokens->inset + 4 * $way, 8, 48) : 0,
            'leading' => self::bound($tokens->leading + 5 * $way, 130, 180),
            'size' => self::bound($tokens->size + 2 * $way, 90, 120),
        ]);
    }

    private static function rounder(Look $look, int $way): Look
    {
        $tokens = $look->tokens;
        $corner = self::bound($tokens->corner + 4 * $way, 0, 32);

        return self::changed($look, $look->light, $look->dark, [
            'corner' => $corner,
            'pictureCorner' => self::bound($tokens->pictureCorner + 4 * $way, 0, 32),
        ]);
    }

    private static function bound(int $value, int $least, int $most): int
    {
        return max($least, min($most, $value));
    }

    /** @param  array<string, mixed>  $tokens */
    private static function changed(Look $look, Palette $light, Palette $dark, array $tokens): Look
    {
        return Look::of($look->key, $look->name, $look->about, $look->scheme, $light, $dark, $look->tokens->changed($tokens));
    }
}
