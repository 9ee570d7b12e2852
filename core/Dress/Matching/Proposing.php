<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\Look;
use Gnomic\Dress\Page\BrowserSheet;
use Gnomic\Dress\Page\Computed;
use Gnomic\Dress\Page\Page;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;
use Gnomic\Dress\Tokens;

/** Reads a look from one section of a page: from its own text, headings, links, buttons and cards, or else from those of the page. */
final class Proposing
{
    /** Of text that are told apart. */
    private const KINDS = 30;

    private const BUTTON = '/(?:^|[\s_-])(?:btn|button|cta)(?:$|[\s_-])/i';

    /** What cards are called, or what tells them: see card(). */
    private const CARD = '/(?:^|[\s_-])(?:card|tile|panel|box|teaser|quote|testimonial|review)(?:$|[\s_-])/i';

    /** Longhands of what is spoken of as one. */
    private const NAMES = ['border-radius' => ['border-top-left-radius'], 'padding' => ['padding-left'], 'background-color' => [
        'background-color', 'background-image',
    ]];

    /** @var list<Evidence> */
    private array $evidence = [];

    private UsedBy $used;

    /** @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch */
    public function __construct(private readonly PageStyles $styles, private readonly Page $page, Closure $fetch)
    {
        $this->used = new UsedBy($page, $fetch);
    }

    /** @param  list<string>  $tags  keys of widgets whose codes stand in it */
    public function proposal(Section $section, array $tags): Proposal
    {
        $this->evidence = [];
        $isDark = $section->ground->luminance() < 0.18 && ($section->to === null || $section->to->luminance() < 0.4)
            || ($section->to !== null && $section->style->colour->luminance() > 0.5);
        $name = $isDark ? 'dark' : 'light';
        $palette = $this->palette($section, $name);
        $tokens = $this->tokens($section);
        $called = self::called($section->element);
        $own = Palette::read($palette, "/$name");

        return new Proposal(
            self::path($section->element),
            $called,
            $isDark,
            $tags,
            Look::of(
                'matched',
                mb_strimwidth("As $called", 0, 60, '…'),
                'Read from the page',
                $isDark ? Scheme::Dark : Scheme::Light,
                $isDark ? $own->turned() : $own,
                $isDark ? $own : $own->turned(),
                Tokens::read($tokens, '/tokens'),
            ),
            $this->evidence,
        );
    }

    /** @return array<string, string|null> */
    private function palette(Section $section, string $scheme): array
    {
        $text = $this->text($section);
        $ink = $this->style($text);
        $heading = $this->first($section, ['h2', 'h1', 'h3', 'h4'], true);
        $link = $this->link($section);
        $button = $this->button($section);
        $card = $this->card($section);
        $quiet = $this->quiet($section);
        $put = function (string $token, ?Colour $colour, ?DOMElement $of, string $property, string $what) use ($scheme): ?string {
            if ($colour === null) {
                return null;
            }
            $hex = $colour->withAlpha(in_array($token, Palette::OVER, true) ? 1.0 : $colour->alpha)->toHex();
            $this->note("$scheme.$token", $hex, $of, $property, $what);

            return $hex;
        };
        $accent = $this->accent($section, $button, $link, $heading);
        $line = $card?->length('border-top-width') > 0 ? $card : null;
        $base = $section->ground;
        $inkHex = $ink->colour->over($base)->toHex();
        $this->note("$scheme.ink", $inkHex, $text, 'color', 'text');
        // The page's own ground shows through: what is behind is told to the guard.
        $this->note(
            "$scheme.behind",
            $base->toHex(),
            $section->painted,
            'background-color',
            $section->image !== null ? 'a picture behind it' : 'what is behind it',
        );

        return array_filter([
            'ground' => '#ffffff00',
            'behind' => $base->toHex(),
            'behindTo' => $section->to?->toHex(),
            'ink' => $inkHex,
            'quiet' => $put('quiet', $quiet === null ? null : $this->style($quiet)->colour->over($base), $quiet, 'color', 'small print')
                ?? $this->derived(
                    "$scheme.quiet",
                    $ink->colour->over($base)->mixed($base, 0.72)->toHex(),
                    'ink, a step towards the ground',
                ),
            'accent' => $accent === null ? $inkHex : $put('accent', $accent[0]->over($base), $accent[1], $accent[2], $accent[3]),
            'rating' => $accent === null ? $inkHex : $accent[0]->over($base)->withAlpha(1.0)->toHex(),
            'link' => $link === null ? $inkHex : $put('link', $this->style($link)->colour->over($base), $link, 'color', 'links'),
            'control' => $accent === null ? $inkHex : $accent[0]->over($base)->withAlpha(1.0)->toHex(),
            'line' => $put('line', $line?->borderColour(), $this->cardElement($section), 'border-top-color', 'edges of cards')
                ?? $this->derived("$scheme.line", $ink->colour->over($base)->mixed($base, 0.2)->toHex(), 'ink, nearly the ground'),
            'surface' => $card === null || $card->background->alpha < 0.02 ? null
                : $put('surface', $card->background, $this->cardElement($section), 'background-color', 'cards'),
        ], fn (?string $value): bool => $value !== null);
    }

    /** @return array<string, int|string> */
    private function tokens(Section $section): array
    {
        $of = $this->text($section);
        // A heading tells the colour of words, but not how large they are.
        $of = preg_match('/^h[1-4]$/', strtolower((string) $of->localName)) === 1 ? $section->element : $of;
        $text = $this->style($of);
        $element = $this->cardElement($section);
        $card = $element === null ? null : $this->style($element);
        $heading = $this->first($section, ['h2', 'h1', 'h3', 'h4'], true);
        $button = $this->button($section);
        $tokens = [];
        $put = function (string $token, float|string $value, ?DOMElement $of, string $property, string $what) use (&$tokens): void {
            $tokens[$token] = is_float($value) ? (int) round($value) : $value;
            $this->note("tokens.$token", $tokens[$token], $of, $property, $what);
        };
        $bound = fn (float $value, float $least, float $most): float => max($least, min($most, $value));
        if ($heading !== null) {
            $style = $this->style($heading);
            if ($style->family !== $text->family && strlen($style->family) <= 200) {
                $put('headings', $style->family, $heading, 'font-family', 'headings');
            }
            $put('weight', $bound((float) $style->weight, 300, 900), $heading, 'font-weight', 'headings');
        }
        $put('size', $bound(100 * $text->size / 16, 80, 140), $of, 'font-size', 'text');
        if ($text->leading !== null && $text->size > 0) {
            $put('leading', $bound(100 * $text->leading / $text->size, 120, 200), $of, 'line-height', 'text');
        }
        $round = $card !== null && $this->isBox($card) ? [$card, $element, 'cards'] : (
            $button === null ? null : [$this->style($button), $button, 'buttons']
        );
        if ($round !== null) {
            // A button may be quite round; a card that were would be none.
            $put('corner', $bound($round[0]->radius(), 0, $round[2] === 'cards' ? 32 : 12), $round[1], 'border-radius', $round[2]);
        }
        if ($card !== null && $this->isBox($card)) {
            $padding = $card->length('padding-left') > 0 ? $card->length('padding-left') : $this->inner($element);
            $put('inset', $bound($padding, 8, 48), $element, 'padding', 'cards');
            $put('edge', $bound($card->length('border-top-width'), 0, 4), $element, 'border-top-width', 'cards');
            $tokens['rule'] = 0;
            $shadow = $card->value('box-shadow');
            $put(
                'shadow',
                $shadow === 'none' || str_contains($shadow, 'inset') ? 0.0 : (float) self::height($shadow),
                $element,
                'box-shadow',
                'cards',
            );
            $parent = $element?->parentNode;
            $gap = $parent instanceof DOMElement ? $this->style($parent)->length('column-gap') : 0.0;
            if ($gap > 0) {
                $put('gap', $bound($gap, 4, 80), $parent instanceof DOMElement ? $parent : null, 'column-gap', 'between cards');
            } else {
                $tokens['gap'] = 20;
            }
        }
        $picture = $this->first($section, ['img', 'picture', 'figure'], true);
        if ($picture !== null && $this->style($picture)->radius() > 0) {
            $put('pictureCorner', $bound($this->style($picture)->radius(), 0, 32), $picture, 'border-radius', 'pictures');
        }

        return $tokens;
    }

    private function style(DOMElement $element): Computed
    {
        return $this->styles->computed($element);
    }

    /**
     * @param  list<string>  $tags  the likeliest first
     * @param  bool  $anywhere  whether the rest of the page will do where the section has none: as to letters, not as to colours
     */
    private function first(Section $section, array $tags, bool $anywhere): ?DOMElement
    {
        foreach ($anywhere ? [$section->element, $this->page->body()] : [$section->element] as $in) {
            foreach ($tags as $tag) {
                foreach ($in?->getElementsByTagName($tag) ?? [] as $element) {
                    if (
                        $this->isSeenIn($element, $in === $section->element ? $section : null)
                        && (trim($element->textContent) !== '' || $tag === 'img')
                    ) {
                        return $element;
                    }
                }
            }
        }

        return null;
    }

    /** Where most of the section's words stand; where there are none in paragraphs, its links or headings. */
    private function text(Section $section): DOMElement
    {
        $words = $first = [];
        foreach (['p', 'li', 'td', 'dd', 'blockquote'] as $tag) {
            foreach ($section->element->getElementsByTagName($tag) as $element) {
                if (count($words) < self::KINDS && $this->isSeenIn($element, $section)) {
                    $style = $this->style($element);
                    $kind = "{$style->colour->toHex()} $style->size $style->family";
                    $words[$kind] = ($words[$kind] ?? 0) + mb_strlen(trim($element->textContent));
                    $first[$kind] ??= $element;
                }
            }
        }
        arsort($words);
        $most = array_key_first($words);

        return $most !== null && $words[$most] > 0 ? $first[$most]
            : $this->link($section) ?? $this->first($section, ['h1', 'h2', 'h3', 'a', 'span'], false) ?? $section->element;
    }

    /** Whether an element is seen, and on the very ground of the section. */
    private function isSeenIn(DOMElement $element, ?Section $section): bool
    {
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            $style = $this->style($at);
            if (
                $style->value('display') === 'none'
                || in_array(strtolower((string) $at->localName), ['template', 'noscript', 'gnomic-widget'], true)
            ) {
                return false;
            }
            if ($section !== null && $at->isSameNode($section->element)) {
                return true;
            }
            if (
                $section !== null
                && ! $at->isSameNode($element)
                && ($style->background->alpha > 0.01 || $style->value('background-image') !== 'none')
            ) {
                return false;
            }
        }

        return $section === null;
    }

    private function link(Section $section): ?DOMElement
    {
        $other = null;
        foreach ($section->element->getElementsByTagName('a') as $link) {
            if (
                ! $link->hasAttribute('href')
                || ! $this->isSeenIn($link, $section)
                || preg_match(self::BUTTON, $link->getAttribute('class')) === 1
            ) {
                continue;
            }
            $in = strtolower((string) $link->parentNode?->localName);
            if (in_array($in, ['p', 'li', 'td', 'dd', 'blockquote'], true)) {
                return $link;
            }
            $other ??= $link;
        }

        return $other;
    }

    private function button(Section $section): ?DOMElement
    {
        foreach ([$section->element, $this->page->body()] as $in) {
            foreach (['a', 'button', 'input', 'span', 'div'] as $tag) {
                foreach ($in?->getElementsByTagName($tag) ?? [] as $element) {
                    $isOne = $tag === 'button' || preg_match(self::BUTTON, $element->getAttribute('class')) === 1
                        || ($tag === 'input' && in_array($element->getAttribute('type'), ['submit', 'button'], true));
                    if ($isOne && $this->isSeenIn($element, null) && $this->style($element)->background->alpha > 0.5
                        && isset($this->style($element)->winners['background-color'])) {
                        return $element;
                    }
                }
            }
        }

        return null;
    }

    /**
     * The colour that speaks up: of buttons, else of links, else of headings.
     *
     * @return array{Colour, DOMElement, string, string}|null
     */
    private function accent(Section $section, ?DOMElement $button, ?DOMElement $link, ?DOMElement $heading): ?array
    {
        $isGrey = fn (Colour $colour): bool => Oklch::of($colour)->chroma < 0.025;
        $ground = $section->ground;
        $ways = [
            $button === null ? null : [$this->style($button)->background, $button, 'background-color', 'buttons'],
            $link === null ? null : [$this->style($link)->colour, $link, 'color', 'links'],
            $heading === null || ! $this->isSeenIn($heading, $section) ? null : [
                $this->style($heading)->colour,
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

    private function quiet(Section $section): ?DOMElement
    {
        foreach (['small', 'time', 'figcaption', 'cite', 'p', 'span', 'div'] as $tag) {
            foreach ($section->element->getElementsByTagName($tag) as $element) {
                $isNamed = preg_match(
                    '/(?:^|[\s_-])(?:muted|quiet|meta|secondary|subtle|caption|lead|date|byline|light)(?:$|[\s_-])/i',
                    $element->getAttribute('class'),
                ) === 1;
                if (($isNamed || in_array($tag, ['small', 'time', 'figcaption', 'cite'], true)) && $this->isSeenIn($element, $section)
                    && trim($element->textContent) !== '' && ! $element->hasAttribute('href')) {
                    return $element;
                }
            }
        }

        return null;
    }

    private function card(Section $section): ?Computed
    {
        $element = $this->cardElement($section);

        return $element === null ? null : $this->style($element);
    }

    /** A box among others of its kind, or one that is called so; in the section, else of the page where that has the same ground. */
    private function cardElement(Section $section): ?DOMElement
    {
        foreach (['div', 'article', 'li', 'section', 'aside', 'a', 'blockquote'] as $tag) {
            foreach ($section->element->getElementsByTagName($tag) as $element) {
                $isNamed = preg_match(self::CARD, $element->getAttribute('class')) === 1 || $tag === 'article';
                $next = $element->nextElementSibling;
                $isOfMany = $next !== null && $next->localName === $element->localName && $element->getAttribute('class') !== ''
                    && $next->getAttribute('class') === $element->getAttribute('class');
                if (($isNamed || $isOfMany) && $this->isBox($this->style($element)) && $this->isSeenIn($element, $section)) {
                    return $element;
                }
            }
        }

        return null;
    }

    private function isBox(Computed $style): bool
    {
        return $style->background->alpha > 0.02 || $style->length('border-top-width') > 0 && $style->length('border-left-width') > 0
            || ($style->value('box-shadow') !== 'none' && $style->value('box-shadow') !== '');
    }

    /** Padding of what stands in a card that has none itself. */
    private function inner(?DOMElement $element): float
    {
        $child = $element?->firstElementChild;

        return $child === null ? 16.0 : max(8.0, $this->style($child)->length('padding-left'));
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

    private function note(string $token, string|int $value, ?DOMElement $of, string $property, string $what): void
    {
        $winner = null;
        $names = self::NAMES[$property] ?? [$property];
        for ($at = $of; $at instanceof DOMElement; $at = $at->parentNode) {
            $found = array_values(array_intersect_key($this->style($at)->winners, array_flip($names)))[0] ?? null;
            // What is inherited was decided further up.
            $isPassedOn = $found === null ? ! isset(BrowserSheet::of($at)[$property]) : strtolower($found->value) === 'inherit';
            if (! $isPassedOn || ! isset(BrowserSheet::INHERITED[$property])) {
                $winner = $found;
                break;
            }
        }
        $this->evidence[] = new Evidence(
            $token,
            $value,
            $what,
            $winner === null ? 'no style sheet says it; browsers have it so' : $this->used->told($winner),
            true,
        );
    }

    private function derived(string $token, string $value, string $how): string
    {
        $this->evidence[] = new Evidence($token, $value, $how, 'the page does not say; derived', false);

        return $value;
    }

    /** By its own heading, its identifier or class, or what it is. */
    private static function called(DOMElement $element): string
    {
        $tag = strtolower((string) $element->localName);
        if ($tag === 'body') {
            return 'the page itself';
        }
        foreach (['h1', 'h2', 'h3'] as $heading) {
            foreach ($element->getElementsByTagName($heading) as $one) {
                $text = trim((string) preg_replace('/\s+/', ' ', $one->textContent));
                if ($text !== '') {
                    return '"'.mb_strimwidth($text, 0, 40, '…').'"';
                }
            }
        }
        $known = ['footer' => 'the foot', 'header' => 'the head', 'nav' => 'the navigation', 'aside' => 'the column beside'];
        $own = $element->getAttribute('id') ?: (string) strtok($element->getAttribute('class'), ' ');

        return $known[$tag] ?? ($own === '' ? "a part ($tag)" : "the part \"$own\"");
    }

    /** A selector that finds it, from the body down. */
    private static function path(DOMElement $element): string
    {
        $steps = [];
        for ($at = $element; $at instanceof DOMElement && strtolower((string) $at->localName) !== 'html'; $at = $at->parentNode) {
            $tag = strtolower((string) $at->localName);
            if ($tag === 'body') {
                array_unshift($steps, 'body');
                break;
            }
            $place = 1;
            for ($other = $at->previousElementSibling; $other !== null; $other = $other->previousElementSibling) {
                $place++;
            }
            array_unshift($steps, "$tag:nth-child($place)");
        }

        return implode(' > ', $steps);
    }
}
