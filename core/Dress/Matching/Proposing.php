<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\Look;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;

/** Reads a look from one section of a page: from its own text, headings, links, buttons and cards, or else from those of the page. */
final class Proposing
{
    /** Between cards where the page does not say. */
    private const GAP = 20;

    private readonly UsedBy $used;

    /** @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch */
    public function __construct(private readonly PageStyles $styles, private readonly DOMElement $body, StyledPage $page, Closure $fetch)
    {
        $this->used = new UsedBy($page, $fetch);
    }

    /** @param  list<string>  $tags  keys of widgets whose codes stand in it */
    public function proposal(Section $section, array $tags): Proposal
    {
        $notes = new Notes($this->styles, $this->used);
        $samples = new StyleSamples($this->styles, $this->body, $section);
        $isDark = $section->isDark();
        $scheme = $isDark ? 'dark' : 'light';
        $own = Palette::read($this->palette($section, $samples, $notes, $scheme), "/$scheme");
        $tokens = LookTokens::read($this->tokens($samples, $notes), '/tokens');
        $name = $section->name();

        return new Proposal($section->path(), $name, $isDark, $tags, Look::of(
            'matched',
            mb_strimwidth("As $name", 0, 60, '…'),
            'Read from the page',
            $isDark ? Scheme::Dark : Scheme::Light,
            $isDark ? $own->turned() : $own,
            $isDark ? $own : $own->turned(),
            $tokens,
        ), $notes->all());
    }

    /** @return array<string, string|null> */
    private function palette(Section $section, StyleSamples $samples, Notes $notes, string $scheme): array
    {
        $base = $section->ground;
        $seen = fn (Colour $colour): Colour => $colour->over($base);
        $put = function (string $token, Colour $colour, DOMElement $of, string $property, string $what) use ($scheme, $notes): string {
            $hex = $colour->toHex();
            $notes->read("$scheme.$token", $hex, $of, $property, $what);

            return $hex;
        };
        $text = $samples->text();
        $ink = $seen($samples->style($text)->colour);
        $derived = function (string $token, float $share, string $how) use ($ink, $base, $scheme, $notes): string {
            $hex = $ink->mixed($base, $share)->toHex();
            $notes->derived("$scheme.$token", $hex, $how);

            return $hex;
        };
        $palette = [
            'ink' => $put('ink', $ink, $text, 'color', 'text'),
            // The page's own ground shows through: what is behind is told to the guard.
            'ground' => '#ffffff00',
            'behind' => $put(
                'behind',
                $base,
                $section->painted,
                'background-color',
                $section->image === null ? 'what is behind it' : 'a picture behind it',
            ),
            'behindTo' => $section->to?->toHex(),
        ];
        $quiet = $samples->quiet();
        $palette['quiet'] = $quiet === null ? $derived('quiet', 0.72, 'the text, a step towards the background')
            : $put('quiet', $seen($samples->style($quiet)->colour), $quiet, 'color', 'small print');
        $accent = $this->accent($section, $samples);
        $palette['accent'] = $accent === null ? $palette['ink'] : $put('accent', $seen($accent[0]), $accent[1], $accent[2], $accent[3]);
        $link = $samples->link();
        $palette['link'] = $link === null ? $palette['ink'] : $put('link', $seen($samples->style($link)->colour), $link, 'color', 'links');
        $card = $samples->card();
        $edge = $card === null ? null : $samples->style($card)->borderColour();
        $palette['line'] = $card === null || $edge === null ? $derived('line', 0.2, 'the text, nearly the background')
            : $put('line', $edge, $card, 'border-top-color', 'edges of cards');
        $surface = $card === null ? null : $samples->style($card)->background;
        if ($card !== null && $surface !== null && $surface->alpha > 0.02) {
            $palette['surface'] = $put('surface', $surface, $card, 'background-color', 'cards');
        }

        return $palette + ['rating' => $palette['accent'], 'control' => $palette['accent']];
    }

    /** @return array<string, int|string> */
    private function tokens(StyleSamples $samples, Notes $notes): array
    {
        $tokens = [];
        $put = function (string $token, float|string $value, DOMElement $of, string $property, string $what) use (&$tokens, $notes): void {
            $tokens[$token] = is_float($value) ? (int) round($value) : $value;
            $notes->read("tokens.$token", $tokens[$token], $of, $property, $what);
        };
        $bound = fn (float $value, float $least, float $most): float => max($least, min($most, $value));
        $of = $samples->sized();
        $text = $samples->style($of);
        $heading = $samples->heading();
        if ($heading !== null) {
            $style = $samples->style($heading);
            if ($style->family !== $text->family && strlen($style->family) <= 200) {
                $put('headings', $style->family, $heading, 'font-family', 'headings');
            }
            $put('weight', $bound((float) $style->weight, 300, 900), $heading, 'font-weight', 'headings');
        }
        $put('size', $bound(100 * $text->size / 16, 80, 140), $of, 'font-size', 'text');
        if ($text->leading !== null && $text->size > 0) {
            $put('leading', $bound(100 * $text->leading / $text->size, 120, 200), $of, 'line-height', 'text');
        }
        $card = $samples->card();
        $button = $samples->button();
        if ($card !== null) {
            $tokens += $this->boxes($card, $samples, $put, $bound);
        } elseif ($button !== null) {
            // A button may be quite round; a card that were would be none.
            $put('corner', $bound($samples->style($button)->radius(), 0, 12), $button, 'border-radius', 'buttons');
        }
        $picture = $samples->picture();
        if ($picture !== null && $samples->style($picture)->radius() > 0) {
            $put('pictureCorner', $bound($samples->style($picture)->radius(), 0, 32), $picture, 'border-radius', 'pictures');
        }

        return $tokens;
    }

    /**
     * Tokens of cards that are boxes.
     *
     * @param  Closure(string, float|string, DOMElement, string, string): void  $put
     * @param  Closure(float, float, float): float  $bound
     * @return array<string, int> those that are so without being read
     */
    private function boxes(DOMElement $card, StyleSamples $samples, Closure $put, Closure $bound): array
    {
        $style = $samples->style($card);
        $inner = $card->firstElementChild;
        // Where the card itself keeps nothing free, what stands in it may.
        $padding = $style->length('padding-left') > 0 || $inner === null ? $style->length('padding-left')
            : $samples->style($inner)->length('padding-left');
        $shadow = $style->value('box-shadow');
        $put('corner', $bound($style->radius(), 0, 32), $card, 'border-radius', 'cards');
        $put('inset', $bound($padding, 8, 48), $card, 'padding', 'cards');
        $put('edge', $bound($style->length('border-top-width'), 0, 4), $card, 'border-top-width', 'cards');
        $put(
            'shadow',
            $shadow === 'none' || str_contains($shadow, 'inset') ? 0.0 : (float) self::height($shadow),
            $card,
            'box-shadow',
            'cards',
        );
        $around = $card->parentNode;
        $gap = $around instanceof DOMElement ? $samples->style($around)->length('column-gap') : 0.0;
        if ($around instanceof DOMElement && $gap > 0) {
            $put('gap', $bound($gap, 4, 80), $around, 'column-gap', 'between cards');

            return ['rule' => 0];
        }

        return ['rule' => 0, 'gap' => self::GAP];
    }

    /**
     * The colour that speaks up: of buttons, else of links, else of headings.
     *
     * @return array{Colour, DOMElement, string, string}|null
     */
    private function accent(Section $section, StyleSamples $samples): ?array
    {
        [$button, $link, $heading] = [$samples->button(), $samples->link(), $samples->heading()];
        $isGrey = fn (Colour $colour): bool => Oklch::of($colour)->chroma < 0.025;
        $ground = $section->ground;
        $ways = [
            $button === null ? null : [$samples->style($button)->background, $button, 'background-color', 'buttons'],
            $link === null ? null : [$samples->style($link)->colour, $link, 'color', 'links'],
            $heading === null || ! $samples->isSeen($heading) ? null : [
                $samples->style($heading)->colour,
                $heading,
                'color',
                'headings',
            ],
        ];
        $ways = array_values(array_filter($ways));
        // A colour that is told from the ground goes before one that would have to be mended.
        $isTold = fn (Colour $colour): bool => min(
            $colour->over($ground)->contrastWith($ground),
            $colour->over($ground)->contrastWith($section->to ?? $ground),
        ) >= 3.0;
        foreach ([false, true] as $mayBeGrey) {
            foreach ($ways as $way) {
                if (($mayBeGrey || ! $isGrey($way[0]->over($ground))) && $isTold($way[0])) {
                    return $way;
                }
            }
        }

        return $ways[1] ?? $ways[0] ?? null;
    }

    /** How high a shadow makes a card stand, 1 to 4, by how far it is blurred. */
    private static function height(string $shadow): int
    {
        preg_match_all('/(-?[\d.]+)px|(-?[\d.]+)rem/', $shadow, $found, PREG_SET_ORDER);
        $most = 0.0;
        foreach ($found as $one) {
            $most = max($most, ($one[1] ?? '') !== '' ? (float) $one[1] : 16 * (float) ($one[2] ?? 0));
        }

        return match (true) {
            $most <= 6 => 1,
            $most <= 14 => 2,
            $most <= 28 => 3,
            default => 4,
        };
    }
}
