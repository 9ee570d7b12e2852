<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Dressed;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\NameTones;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;
use Gnomic\Memo;
use WeakMap;

/** A look as rules of a style sheet: its tokens as custom properties, those that are as usual left out. */
final class LookRules
{
    /** How high cards stand, from a hairline of shade to a wide one. */
    private const SHADOWS = [
        1 => '0 1px 2px #0000001f,0 1px 6px #00000014', 2 => '0 1px 3px #00000024,0 4px 14px #0000001a',
        3 => '0 2px 5px #00000029,0 8px 24px #0000001f', 4 => '0 3px 8px #0000002e,0 14px 40px #00000029',
    ];

    /** Those that are as usual where nothing is said. */
    private const FREE = [
        'text' => 'initial', 'heads' => 'initial', 'weight' => 'initial', 'leading' => 'initial', 'corner' => 'initial',
        'rule' => 'initial', 'upright' => 'initial', 'pad' => 'initial', 'measure' => 'initial', 'size' => 'initial', 'lead' => 'initial',
        'nsize' => 'initial', 'named' => 'initial', 'fsize' => 'initial', 'headline' => 'initial', 'bubble' => 'initial',
        'act' => 'initial', 'gsize' => 'initial', 'back' => 'initial', 'surface' => 'initial', 'edge' => 'initial',
        'inset' => 'initial', 'down' => 'initial', 'hang' => 'initial',
        'shadow' => 'initial', 'picture-corner' => 'initial', 'picture-edge' => 'initial', 'rows' => 'initial', 'lines' => 'initial',
        'most' => 'initial', 'top' => 'initial', 'peek' => 'initial', 'foot' => 'initial',
    ];

    /** @param  string  $on  selector of what carries the properties */
    public static function of(Dressed $look, string $on): string
    {
        return self::known($look)->of("rules $on", fn (): string => self::rules($look, $on));
    }

    /** Behind the initials of a face. @param  int  $tone  of NameTones */
    public static function tone(Dressed $look, int $tone): string
    {
        $tones = self::known($look)->of('tones', fn (): array => NameTones::of($look->palette()));

        return ".u$tone{background:{$tones[$tone]->toHex()}}";
    }

    private static function known(Dressed $look): Memo
    {
        /** @var WeakMap<Dressed, Memo> $known */
        static $known = new WeakMap;

        return $known[$look] ??= new Memo;
    }

    private static function rules(Dressed $look, string $on): string
    {
        $tokens = self::tokens($look->tokens);
        $usual = self::colours($look->palette(), $look->tokens);
        // A page may have properties of the same names, and they would be taken over.
        $css = "$on{".StyleRule::setting($usual + $tokens + self::FREE).($look->scheme === Scheme::Dark ? ';color-scheme:dark' : '').'}';
        $dark = array_diff_assoc(self::colours($look->dark, $look->tokens), $usual);

        return $css.match ($look->scheme) {
            Scheme::Visitor => "$on{color-scheme:light dark}@media (prefers-color-scheme:dark){{$on}{".StyleRule::setting($dark).'}}',
            // A browser that cannot tell the two apart shows the light one.
            Scheme::Page => "$on{color-scheme:inherit}@supports (color:light-dark(red,red)){{$on}{"
                .StyleRule::setting(self::either($usual, $dark)).'}}',
            default => '',
        };
    }

    /** Of what stands around: the size of all letters. */
    public static function size(LookTokens $tokens): string
    {
        return $tokens->size === 100 ? '' : ".box{font-size:$tokens->size%}";
    }

    /** @return list<string> parts of the style sheet that it needs */
    public static function parts(Dressed $look): array
    {
        $tokens = $look->tokens;
        $hasSurface = fn (Palette $palette): bool => $palette->sure('surface')->alpha > 0.002;
        $isBox = $tokens->isBoxed() || $tokens->edge > 0 || $tokens->shadow > 0
            || ($look->scheme->hasLight() && $hasSurface($look->light)) || ($look->scheme->hasDark() && $hasSurface($look->dark));

        return [
            ...($isBox ? ['box'] : []),
            ...($tokens->pictureCorner + $tokens->pictureEdge > 0 ? ['frames'] : []),
            ...($tokens->hover === 'none' ? [] : ["hover/$tokens->hover"]),
            ...($tokens->quotes === 1 ? ['quotes'] : []),
        ];
    }

    /** @return array<string, string> by name */
    private static function tokens(LookTokens $tokens): array
    {
        $em = WidthRules::em(...);

        return array_filter([
            'text' => $tokens->text,
            'heads' => $tokens->headings,
            'weight' => $tokens->weight === 700 ? null : (string) $tokens->weight,
            'leading' => $tokens->leading === 153 ? null : (string) ($tokens->leading / 100),
            'corner' => $tokens->corner === 3 ? null : "{$tokens->corner}px",
            'rule' => $tokens->rule === 1 ? null : "{$tokens->rule}px",
            'upright' => $tokens->lines === 'all' ? "{$tokens->rule}px" : null,
            'pad' => $tokens->pad === 28 ? null : $em($tokens->pad),
            'measure' => $tokens->measure === 68 ? null : (string) $tokens->measure,
            'edge' => $tokens->edge === 0 ? null : $em($tokens->edge),
            'shadow' => self::SHADOWS[$tokens->shadow] ?? null,
            'down' => $tokens->isBoxed() ? '.5em' : null,
            'inset' => $tokens->inset === 0 ? null : $em($tokens->inset),
            'picture-corner' => $tokens->pictureCorner === 0 ? null : "{$tokens->pictureCorner}px",
            'picture-edge' => $tokens->pictureEdge === 0 ? null : "{$tokens->pictureEdge}px",
            'gsize' => $tokens->glyphSize === 100 ? null : (string) ($tokens->glyphSize / 100),
        ], is_string(...));
    }

    /** @return array<string, string> by name */
    private static function colours(Palette $palette, LookTokens $tokens): array
    {
        $colours = ['ground' => $palette->solid()->toHex()];
        foreach (['ink', 'quiet', 'line', 'accent', 'rating', 'link', 'control'] as $name) {
            $colours[$name] = (string) $palette->colours[$name];
        }
        $surface = $palette->sure('surface');
        $back = self::back($palette, $tokens);

        return $colours + ($surface->alpha > 0.002 ? ['surface' => $surface->toHex()] : []) + ($back === null ? [] : ['back' => $back]);
    }

    /** What is behind everything, where it is no plain colour. */
    private static function back(Palette $palette, LookTokens $tokens): ?string
    {
        $ground = $palette->sure('ground');
        $to = $palette->colour('groundTo');
        $from = $ground->toHex();
        $gradient = $to === null ? null : "linear-gradient({$tokens->angle}deg,$from,{$to->toHex()})";
        if ($tokens->picture === null) {
            return $gradient ?? ($ground->isOpaque() ? null : $from);
        }
        $veil = $gradient ?? "linear-gradient($from,$from)";

        return "$veil,url(\"".self::address($tokens->picture)."\") 50%/cover,{$palette->solid()->toHex()}";
    }

    /** What could end a string, a rule or a style sheet is written by its code. */
    private static function address(string $url): string
    {
        return (string) preg_replace_callback('/["\'()\\\\<>{}\s]/', fn (array $sign): string => rawurlencode($sign[0]), $url);
    }

    /**
     * Colours that are other in the dark, both of them in one.
     *
     * @param  array<string, string>  $light
     * @param  array<string, string>  $dark
     * @return array<string, string>
     */
    private static function either(array $light, array $dark): array
    {
        $both = [];
        foreach ($dark as $name => $value) {
            $lit = $light[$name] ?? 'transparent';
            $colour = '/#[0-9a-f]{6,8}/';
            preg_match_all($colour, $value, $found);
            $place = 0;
            preg_match_all($colour, $lit, $of);
            // A gradient is one in both, of colours that differ.
            $both[$name] = count($of[0]) === count($found[0])
                ? (string) preg_replace_callback($colour, function (array $one) use ($found, &$place): string {
                    return "light-dark($one[0],{$found[0][$place++]})";
                }, $lit)
                : "light-dark($lit,$value)";
        }

        return $both;
    }
}
