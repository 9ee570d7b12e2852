<?php

declare(strict_types=1);

namespace Gnomic\Edition\Advice;

use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Guard\Backdrop;
use Gnomic\Dress\Guard\ContrastFinding;
use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Guard\Pair;
use Gnomic\Dress\Look;
use Gnomic\Dress\Own\OwnCss;
use Gnomic\Dress\Own\OwnProblem;
use Gnomic\Dress\Own\OwnRules;
use Gnomic\Dress\Palette;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Text\Words;

/** What the bench tells of a look: the tokens as they are, what could not be read and was mended, and what of own rules is left out. */
final class DressAccount
{
    /** @return array<string, mixed> */
    public static function of(VariantInput $input, Look $own): array
    {
        $dressed = $input->look;
        $rules = OwnCss::read($input->brief->dress->css);
        $eyes = [];
        foreach ([
            [$dressed->light, $dressed->scheme->hasLight()],
            [$dressed->dark, $dressed->scheme->hasDark()],
        ] as [$palette, $isShown]) {
            $eyes = $isShown ? [...$eyes, ...array_column(Guard::byOtherEyes($palette), 'text')] : $eyes;
        }

        return [
            'look' => $own->toArray(),
            // Behind it where it is looked at by itself.
            'solid' => $dressed->palette()->solid()->toHex(),
            'mended' => ['light' => $dressed->light->colours, 'dark' => $dressed->dark->colours],
            'findings' => array_map(fn (ContrastFinding $finding): array => [
                'contrast' => $finding->contrast === null ? null : floor(100 * $finding->contrast) / 100,
                'after' => $finding->after === null ? null : floor(100 * $finding->after) / 100,
            ] + get_object_vars($finding), $dressed->findings),
            'eyes' => array_values(array_unique($eyes)),
            'problems' => [
                ...array_map(fn (OwnProblem $problem): array => get_object_vars($problem), $rules->problems),
                ...self::unreadable($rules, $dressed->palette()),
            ],
            'words' => array_values(array_filter(array_map(
                fn (array $one): ?string => $input->words->wrong($one['key'], $one['says']),
                $input->brief->dress->words,
            ), Words::isFilled(...))),
        ];
    }

    /** @return list<array{line: int, text: string}> own rules whose words could not be read on what is behind them */
    private static function unreadable(OwnRules $rules, Palette $palette): array
    {
        $problems = [];
        foreach ($rules->colours as $own) {
            $over = CssColour::read($own->over, $palette->sure('ink'));
            $behind = $own->behind === null ? null : CssColour::read($own->behind);
            if ($over === null || ($own->behind !== null && $behind === null)) {
                continue;
            }
            $contrast = $behind === null ? Backdrop::surface($palette)->contrastWith($over) : $over->over($behind)->contrastWith($behind);
            if ($contrast < Pair::TEXT) {
                $problems[] = ['line' => $own->line, 'text' => sprintf(
                    'Words of ".%s" have a contrast of %.1f with what is behind them; they need %.1f. '
                        .'Own rules are not fixed automatically.',
                    $own->part,
                    floor(10 * $contrast) / 10,
                    Pair::TEXT,
                )];
            }
        }

        return $problems;
    }
}
