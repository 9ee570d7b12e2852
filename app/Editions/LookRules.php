<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Dressed;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\NameTones;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;
use Gnomic\Edition\Plan\Plan;
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

    /** On phones nothing hangs out: there is no room beside the column. */
    private const HANGS_FROM = '40em';

    /** Capitals as CSS says them. */
    private const CASES = ['upper' => 'uppercase', 'lower' => 'lowercase', 'title' => 'capitalize'];

    /** Lines of links that are not as usual. */
    private const LINKS = [
        'thick' => 'a{text-decoration-thickness:2px}',
        'dotted' => 'a{text-decoration-style:dotted}',
        'pointed' => 'a:not(:hover,:focus-visible){text-decoration:none}',
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
        $usual = self::colours($look->palette(), $look);
        // A page may have properties of the same names, and they would be taken over.
        $css = "$on{".StyleRule::setting($usual + $tokens + self::FREE).($look->scheme === Scheme::Dark ? ';color-scheme:dark' : '').'}';
        $dark = array_diff_assoc(self::colours($look->dark, $look), $usual);

        return $css.match ($look->scheme) {
            Scheme::Visitor => "$on{color-scheme:light dark}@media (prefers-color-scheme:dark){{$on}{".StyleRule::setting($dark).'}}',
            // A browser that cannot tell the two apart shows the light one.
            Scheme::Page => "$on{color-scheme:inherit}@supports (color:light-dark(red,red)){{$on}{"
                .StyleRule::setting(self::either($usual, $dark)).'}}',
            default => '',
        };
    }

    /**
     * Of what stands around: the size of all letters, which may grow with the screen; and how far it hangs out of the column, so that
     * words in what is painted stand on the lines of the page.
     *
     * @param  int  $side  CSS pixels kept free beside the cards
     */
    public static function around(Dressed $look, int $side): string
    {
        $tokens = $look->tokens;
        $inside = in_array('box', self::parts($look), true) ? $tokens->inset + $tokens->edge : 0;
        $out = WidthRules::em($look->isPainted() ? $side : $inside);
        $hangs = $tokens->hang === 0 || $out === '0px' ? '' : '@media (width>='.self::HANGS_FROM."){.box{margin-inline:-$out}"
            .($look->isPainted() ? '' : ".head,.choose,.turn,.foot{padding-inline:$out}").'}';
        $narrow = $tokens->sizeNarrow ?? $tokens->size;
        $size = match (true) {
            $narrow !== $tokens->size => Growing::of(0.16 * $narrow, 0.16 * $tokens->size)->css(),
            $tokens->size === 100 => '',
            default => "$tokens->size%",
        };

        return ($size === '' ? '' : ".box{font-size:$size}").$hangs;
    }

    /** Of headings: what a look says of them beside the font and the weight. */
    private static function heading(Dressed $look): string
    {
        $tokens = $look->tokens;
        $size = $tokens->headingSize;
        $narrow = $tokens->headingNarrow ?? (int) $size;
        $has = fn (Palette $palette): bool => $palette->colours['heading'] !== null;
        $css = StyleRule::listed([
            'color' => self::any($look, $has) ? 'var(--heading)' : null,
            'font-size' => $size === null ? null : ($narrow === $size
                ? WidthRules::number($size / 100).'em'
                : Growing::of(0.16 * ($tokens->sizeNarrow ?? $tokens->size), 0.16 * $tokens->size)->times($narrow / 100, $size / 100)),
            'line-height' => $tokens->headingLeading === 125 ? null : (string) ($tokens->headingLeading / 100),
            'letter-spacing' => $tokens->headingSpacing === 0 ? null : ($tokens->headingSpacing / 1000).'em',
            'text-transform' => self::CASES[$tokens->headingCase] ?? null,
        ]);

        return $css === '' ? '' : ".heading{{$css}}";
    }

    /** Of what is pressed, where it is painted or has an edge. */
    private static function buttons(Dressed $look): string
    {
        $isPainted = self::any($look, fn (Palette $palette): bool => $palette->colours['button'] !== null);
        $isEdged = self::any($look, fn (Palette $palette): bool => $palette->colours['buttonLine'] !== null);
        if (! $isPainted && ! $isEdged) {
            return '';
        }
        $tokens = $look->tokens;
        $css = StyleRule::listed([
            'background' => $isPainted ? 'var(--button)' : null,
            'color' => 'var(--on-button)',
            'border' => $isEdged ? '1px solid var(--button-line)' : null,
            'border-radius' => $tokens->buttonCorner === null ? 'var(--corner,3px)' : "{$tokens->buttonCorner}px",
            'font-weight' => $tokens->buttonWeight === 600 ? null : (string) $tokens->buttonWeight,
            'text-transform' => self::CASES[$tokens->buttonCase] ?? null,
            'padding' => '.5em 1.25em',
            'text-decoration' => 'none',
        ]);

        return ".act:not(nav *,.card *){{$css}}@media (hover:hover){.act:not(nav *,.card *):hover{text-decoration:underline}}";
    }

    /** Of cards of narrow widgets, where there is other room on them. */
    private static function narrow(LookTokens $tokens): string
    {
        $inset = $tokens->insetNarrow ?? $tokens->inset;

        return ! $tokens->isBoxed() || $inset === $tokens->inset ? ''
            : '@container (width<'.WidthRules::em(Plan::COLUMN).'){.card{--inset:'.WidthRules::em($inset).'}}';
    }

    /** Of what stands on cards, where its colours are other than elsewhere. */
    private static function onCards(Dressed $look): string
    {
        $css = '';
        foreach (self::ownOnCards($look) as $name) {
            $css .= ";--$name:var(--on-$name)";
        }

        // Who asks for the system's own colours, or for more contrast, has them on cards as well.
        return $css === '' ? '' : '@media (forced-colors:none){.card{'.substr($css, 1).';color:var(--ink)}}'
            .'@media (prefers-contrast:more){.card{--quiet:var(--ink)}}';
    }

    /** @return list<string> tokens that have another colour on cards, in one scheme at least */
    private static function ownOnCards(Dressed $look): array
    {
        return array_values(array_filter(
            Palette::OVER,
            fn (string $name): bool => self::any($look, fn (Palette $palette): bool => $palette->colours['card'.ucfirst($name)] !== null),
        ));
    }

    /** @param  callable(Palette): bool  $is  whether it is so in one of the sets of colours that hold */
    private static function any(Dressed $look, callable $is): bool
    {
        return ($look->scheme->hasLight() && $is($look->light)) || ($look->scheme->hasDark() && $is($look->dark));
    }

    /** What comes after the style of the parts: what of them a look makes otherwise. */
    public static function after(Dressed $look): string
    {
        return self::heading($look).self::buttons($look).self::onCards($look).self::narrow($look->tokens)
            .(self::LINKS[$look->tokens->links] ?? '');
    }

    /** @return list<string> parts of the style sheet that it needs */
    public static function parts(Dressed $look): array
    {
        $tokens = $look->tokens;
        $isBox = $tokens->isBoxed() || $tokens->edge > 0 || $tokens->shadow > 0
            || self::any($look, fn (Palette $palette): bool => $palette->hasCards());

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
    private static function colours(Palette $palette, Dressed $look): array
    {
        $colours = ['ground' => $palette->solid()->toHex()];
        foreach (['ink', 'quiet', 'line', 'accent', 'rating', 'link', 'control'] as $name) {
            $colours[$name] = (string) $palette->colours[$name];
        }
        $surface = $palette->sure('surface');
        $back = self::back($palette, $look->tokens);
        foreach (self::ownOnCards($look) as $name) {
            $colours["on-$name"] = $palette->sure('card'.ucfirst($name))->toHex();
        }
        $has = fn (string $token): bool => self::any($look, fn (Palette $one): bool => $one->colours[$token] !== null);
        $colours += array_filter([
            'heading' => $has('heading') ? $palette->sure('heading')->toHex() : null,
            'button' => $has('button') ? $palette->colours['button'] ?? 'transparent' : null,
            'button-line' => $has('buttonLine') ? $palette->colours['buttonLine'] ?? 'transparent' : null,
            'on-button' => $has('button') || $has('buttonLine') ? $palette->buttonInk()->toHex() : null,
        ], is_string(...));

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
