<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Entry\Html;

/** Parts of a page that look different from what is around them: a dark band, a picture, the foot. */
final class Sections
{
    /** Elements that are looked at, and sections that are proposed. */
    private const LOOKED_AT = 1500;

    private const MOST = 12;

    /** Elements that can hold a widget. */
    private const HOLDERS = ['div', 'section', 'main', 'header', 'footer', 'aside', 'article', 'td', 'table', 'form', 'center', 'nav'];

    /** Elements in elements. */
    private const DEEP = 24;

    /** Lightness (by relative luminance) that another ground differs by at least. */
    private const DIFFERS = 1.06;

    /**
     * @param  (Closure(string): (array{string, string}|null))|null  $extremes  as Matching::of()
     * @return list<Section> the page itself first
     */
    public static function of(DOMElement $body, PageStyles $styles, ?Closure $extremes = null): array
    {
        $page = Section::page($body, $styles);
        $left = self::LOOKED_AT;

        $found = array_slice([$page, ...self::within($body, $page, $styles, 0, $left)], 0, self::MOST);

        return array_map(fn (Section $section): Section => $section->lookedAt($extremes), $found);
    }

    /**
     * @param  int  $left  elements that may still be looked at
     * @return list<Section> in the order of the page
     */
    private static function within(DOMElement $element, Section $in, PageStyles $styles, int $depth, int &$left): array
    {
        $sections = [];
        $child = $depth < self::DEEP ? $element->firstElementChild : null;
        for (; $child !== null && $left-- > 0; $child = $child->nextElementSibling) {
            if (! in_array(strtolower((string) $child->localName), self::HOLDERS, true)) {
                continue;
            }
            $section = Section::within($child, $in, $styles);
            // A card is no section: it stands beside others of its kind, or holds next to nothing.
            $isOther = $section !== null && self::differs($section, $in) && ! self::isCard($child);
            array_push(
                $sections,
                ...($isOther ? [$section] : []),
                ...self::within($child, $isOther ? $section : $in, $styles, $depth + 1, $left),
            );
        }

        return $sections;
    }

    private static function differs(Section $section, Section $in): bool
    {
        if ($section->image !== $in->image || $section->to?->toHex() !== $in->to?->toHex()) {
            return true;
        }

        return $section->ground->toHex() !== $in->ground->toHex()
            && ($section->ground->contrastWith($in->ground) > self::DIFFERS || self::apart($section->ground, $in->ground) > 0.06);
    }

    private static function apart(Colour $one, Colour $two): float
    {
        return max(abs($one->red - $two->red), abs($one->green - $two->green), abs($one->blue - $two->blue));
    }

    private static function isCard(DOMElement $element): bool
    {
        $isLike = fn (?DOMElement $other): bool => $other !== null && $other->localName === $element->localName
            && $other->getAttribute('class') === $element->getAttribute('class');
        [$before, $behind] = [$element->previousElementSibling, $element->nextElementSibling];
        $same = 1 + (int) $isLike($before) + (int) $isLike($behind)
            + (int) $isLike($before?->previousElementSibling) + (int) $isLike($behind?->nextElementSibling);
        $isNamed = preg_match(
            '/(?:^|[\s_-])(?:card|tile|box|item|badge|btn|button|chip|tag)(?:$|[\s_-])/i',
            $element->getAttribute('class'),
        ) === 1;

        return ($same >= 3 && $element->getAttribute('class') !== '') || $isNamed
            || (trim($element->textContent) === '' && Html::elements($element, 'gnomic-widget') === []);
    }
}
