<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Css\CssValues;

/** Shorthand properties as what they stand for: those that a look of a widget is read from. Left-to-right writing is taken for granted. */
final class Shorthands
{
    public const SIDES = ['top', 'right', 'bottom', 'left'];

    public const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'];

    private const STYLES = ['none', 'hidden', 'dotted', 'dashed', 'solid', 'double', 'groove', 'ridge', 'inset', 'outset'];

    private const WIDTHS = ['thin' => '1px', 'medium' => '3px', 'thick' => '5px'];

    private const FLOW = [
        'inline' => ['left', 'right'], 'block' => ['top', 'bottom'], 'inline-start' => ['left'], 'inline-end' => ['right'],
        'block-start' => ['top'], 'block-end' => ['bottom'],
        'top' => ['top'], 'right' => ['right'], 'bottom' => ['bottom'], 'left' => ['left'],
    ];

    /** What is an image in a background, and what is neither an image nor a colour. */
    private const IMAGE = '/^(?:url|image|image-set|-webkit-image-set|cross-fade'
        .'|(?:-webkit-|-moz-|-o-)?(?:repeating-)?(?:linear|radial|conic)-gradient)\(/i';

    private const PLACING = '~^(?:[\d.+-]|/|calc\(|min\(|max\(|clamp\(|(?:none|auto|cover|contain|repeat|repeat-x|repeat-y|no-repeat'
        .'|space|round|scroll|fixed|local|top|right|bottom|left|center|border-box|padding-box|content-box|text|border-area)$)~i';

    private const START = [
        'start-start' => 'top-left',
        'start-end' => 'top-right',
        'end-end' => 'bottom-right',
        'end-start' => 'bottom-left',
    ];

    /** Keywords that any property may have. */
    public const WIDE = ['inherit', 'initial', 'unset', 'revert', 'revert-layer'];

    /**
     * @return array<string, string>|null longhands; null: of no use here, or not understood. Where the value is "" the longhands are
     *     those that would be set
     */
    public static function of(string $name, string $value): ?array
    {
        $words = CssValues::words($value);
        $isWide = count($words) === 1 && in_array(strtolower($words[0]), self::WIDE, true);
        /** @param  list<string>  $names */
        $all = fn (array $names): array => array_fill_keys(array_filter($names, is_string(...)), $isWide ? strtolower($words[0]) : '');
        $isName = $value === '' || $isWide;

        /** @var array<string, string>|null $set */
        $set = match (true) {
            $name === 'background' => $isName ? $all(['background-color', 'background-image']) : self::background($value),
            $name === 'font' => $isName ? $all(
                ['font-style', 'font-weight', 'font-size', 'line-height', 'font-family']
            ) : self::font($value),
            $name === 'border-radius' => $isName ? $all(
                array_map(fn (string $corner): string => "border-$corner-radius", self::CORNERS)
            ) : self::radius($value),
            preg_match(
                '/^border-(start|end)-(start|end)-radius$/D',
                $name,
                $found,
            ) === 1 => ['border-'.self::START["$found[1]-$found[2]"].'-radius' => $value],
            $name === 'padding' => $isName ? $all(self::sided('padding-%s')) : self::four('padding-%s', $words),
            preg_match(
                '/^padding-(inline|block)(-start|-end)?$/D',
                $name,
                $found,
            ) === 1 => self::flow('padding-%s', $found[1].($found[2] ?? ''), $isName ? [$value] : $words),
            $name === 'gap', $name === 'grid-gap' => $isName ? $all(['row-gap', 'column-gap']) : [
                'row-gap' => $words[0],
                'column-gap' => $words[1] ?? $words[0],
            ],
            preg_match(
                '/^border-(width|style|color)$/D',
                $name,
                $found,
            ) === 1 => $isName ? $all(self::sided("border-%s-$found[1]")) : self::four("border-%s-$found[1]", $words),
            preg_match(
                '/^border-(inline|block)(-start|-end)?-(width|style|color)$/D',
                $name,
                $found,
            ) === 1 => self::flow("border-%s-$found[3]", $found[1].$found[2], $isName ? [$value] : $words),
            preg_match(
                '/^border(?:-(top|right|bottom|left|inline|block|inline-start|inline-end|block-start|block-end))?$/D',
                $name,
                $found,
            ) === 1 => self::border($found[1] ?? '', $isName ? null : $words, $isName ? ($words[0] ?? '') : ''),
            $name === 'text-decoration' => $isName ? $all(
                ['text-decoration-line', 'text-decoration-style', 'text-decoration-thickness']
            ) : self::decoration($value),
            $name === 'margin' => $isName ? $all(['margin-right', 'margin-left']) : array_intersect_key(
                self::four('margin-%s', $words) ?? [],
                ['margin-right' => 1, 'margin-left' => 1],
            ),
            $name === 'margin-inline' => ['margin-left' => $words[0] ?? '', 'margin-right' => $words[1] ?? $words[0] ?? ''],
            $name === 'margin-inline-start' => ['margin-left' => $value],
            $name === 'margin-inline-end' => ['margin-right' => $value],
            preg_match('/^(min-|max-)?inline-size$/D', $name, $found) === 1 => [($found[1] ?? '').'width' => $value],
            $name === 'container' => $isName ? $all(['container-name', 'container-type']) : [
                'container-name' => CssValues::parted($value, '/')[0],
                'container-type' => CssValues::parted($value, '/')[1] ?? 'normal',
            ],
            $name === 'flex-flow' => ['flex-direction' => preg_match('/\b(?:row|column)(?:-reverse)?\b/', $value, $found) === 1
                ? $found[0] : ($isWide ? $value : 'row')],
            $name === 'grid-template', $name === 'grid' => ['grid-template-columns' => $isWide ? $value
                : CssValues::parted($value, '/')[1] ?? 'none'],
            default => [$name => $value],
        };

        return $set;
    }

    /** @return array<string, string> */
    private static function decoration(string $value): array
    {
        $find = fn (string $pattern, string $else): string => preg_match($pattern, $value, $found) === 1 ? strtolower($found[0]) : $else;

        return [
            'text-decoration-line' => $find('/\b(?:underline|none|overline|line-through)\b/i', 'none'),
            'text-decoration-style' => $find('/\b(?:solid|double|dotted|dashed|wavy)\b/i', 'solid'),
            'text-decoration-thickness' => $find('/(?<![\w#.-])(?:\.?\d[\d.]*(?:px|em|rem|%)|from-font)/i', 'auto'),
        ];
    }

    /** @return list<string> */
    private static function sided(string $pattern): array
    {
        return array_map(fn (string $side): string => sprintf($pattern, $side), self::SIDES);
    }

    /**
     * @param  list<string>  $words
     * @return array<string, string>|null
     */
    private static function four(string $pattern, array $words): ?array
    {
        $count = count($words);
        if ($count < 1 || $count > 4) {
            return null;
        }
        $of = [$words[0], $words[1] ?? $words[0], $words[2] ?? $words[0], $words[3] ?? $words[1] ?? $words[0]];

        return array_combine(self::sided($pattern), $of);
    }

    /**
     * @param  list<string>  $words
     * @return array<string, string>
     */
    private static function flow(string $pattern, string $which, array $words): array
    {
        $set = [];
        foreach (self::FLOW[$which] ?? [] as $index => $side) {
            $set[sprintf($pattern, $side)] = $words[$index] ?? $words[0] ?? '';
        }

        return $set;
    }

    /**
     * @param  list<string>|null  $words  null: what they are called alone
     * @return array<string, string>|null
     */
    private static function border(string $which, ?array $words, string $wide): ?array
    {
        $of = ['width' => '3px', 'style' => 'none', 'color' => 'currentcolor'];
        if ($words === null) {
            $of = array_fill_keys(array_keys($of), $wide);
        }
        foreach ($words ?? [] as $word) {
            $lower = strtolower($word);
            if (in_array($lower, self::STYLES, true)) {
                $of['style'] = $lower;
            } elseif (isset(self::WIDTHS[$lower]) || preg_match('/^(?:\.?\d|calc\(|max\(|min\(|clamp\()/', $lower) === 1) {
                $of['width'] = self::WIDTHS[$lower] ?? $word;
            } elseif (CssColour::read($word) !== null) {
                $of['color'] = $word;
            } else {
                return null;
            }
        }
        $set = [];
        foreach ($which === '' ? self::SIDES : (self::FLOW[$which] ?? []) as $side) {
            foreach ($of as $what => $value) {
                $set["border-$side-$what"] = $value;
            }
        }

        return $set;
    }

    /** @return array<string, string>|null */
    private static function radius(string $value): ?array
    {
        $set = self::four('%s', CssValues::words(CssValues::parted($value, '/')[0]));
        if ($set === null) {
            return null;
        }

        return array_combine(array_map(fn (string $corner): string => "border-$corner-radius", self::CORNERS), array_values($set));
    }

    /** @return array<string, string>|null */
    private static function background(string $value): ?array
    {
        $layers = CssValues::listed($value);
        $images = [];
        $colour = 'transparent';
        foreach ($layers as $place => $layer) {
            $image = 'none';
            foreach (CssValues::words(implode(' / ', CssValues::split($layer, '/'))) as $word) {
                if (preg_match(self::IMAGE, $word) === 1) {
                    $image = $word;
                } elseif (CssColour::read($word) !== null) {
                    if ($place < count($layers) - 1) {
                        return null; // a colour stands in the last layer alone
                    }
                    $colour = $word;
                } elseif (preg_match(self::PLACING, $word) !== 1) {
                    return null;
                }
            }
            $images[] = $image;
        }

        return ['background-color' => $colour, 'background-image' => implode(', ', $images)];
    }

    /** @return array<string, string>|null */
    private static function font(string $value): ?array
    {
        $words = CssValues::words(implode(' / ', CssValues::split($value, '/')));
        $set = ['font-style' => 'normal', 'font-weight' => 'normal', 'line-height' => 'normal'];
        foreach ($words as $place => $word) {
            $lower = strtolower($word);
            if (in_array($lower, ['italic', 'oblique'], true)) {
                $set['font-style'] = $lower;
            } elseif (
                in_array($lower, ['bold', 'bolder', 'lighter'], true)
                || preg_match('/^[1-9]\d{0,2}0?0?$/D', $lower) === 1
                && is_numeric($words[$place + 1] ?? 'x') === false
                && (int) $lower <= 1000
            ) {
                $set['font-weight'] = $lower;
            } elseif (preg_match('/^(?:normal|small-caps|(?:ultra-|extra-|semi-)?(?:condensed|expanded))$/D', $lower) !== 1) {
                $set['font-size'] = $word;
                $rest = array_slice($words, $place + 1);
                if (($rest[0] ?? '') === '/') {
                    $set['line-height'] = $rest[1] ?? 'normal';
                    $rest = array_slice($rest, 2);
                }
                $set['font-family'] = implode(' ', $rest);

                return $rest === [] ? null : $set;
            }
        }

        return null;
    }
}
