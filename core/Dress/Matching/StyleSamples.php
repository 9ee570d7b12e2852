<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use DOMElement;
use Gnomic\Dress\Page\Computed;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Entry\Html;

/** What of a section a look is read from: its text, a heading, a link, a button, small print, a card, a picture. */
final class StyleSamples
{
    /** Elements of a kind that are looked at: a sample is found among the first of them, or is none. */
    private const LOOKED_AT = 300;

    /** What holds running text. */
    private const PARAGRAPHS = ['p', 'li', 'td', 'dd', 'blockquote'];

    private const HEADINGS = ['h2', 'h1', 'h3', 'h4'];

    private const SMALL = ['small', 'time', 'figcaption', 'cite'];

    private const NAMED_SMALL = '/(?:^|[\s_-])(?:muted|quiet|meta|secondary|subtle|caption|lead|date|byline|light)(?:$|[\s_-])/i';

    private const BUTTON = '/(?:^|[\s_-])(?:btn|button|cta)(?:$|[\s_-])/i';

    private const CARD = '/(?:^|[\s_-])(?:card|tile|panel|box|teaser|quote|testimonial|review)(?:$|[\s_-])/i';

    /** @var array<int, array<string, list<DOMElement>>> by element and tag */
    private array $elements = [];

    /** @param  DOMElement  $body  of the page, where a section has no sample of its own and letters are asked after, not colours */
    public function __construct(
        private readonly PageStyles $styles,
        private readonly DOMElement $body,
        private readonly Section $section,
    ) {
    }

    public function style(DOMElement $element): Computed
    {
        return $this->styles->computed($element);
    }

    /** Where most of the section's words stand; where there are none in paragraphs, its links or headings. */
    public function text(): DOMElement
    {
        $words = $first = [];
        foreach ($this->within($this->section->element, self::PARAGRAPHS) as $element) {
            if ($this->isSeen($element)) {
                $style = $this->style($element);
                $kind = "{$style->colour->toHex()} $style->size $style->family";
                $words[$kind] = ($words[$kind] ?? 0) + mb_strlen(trim($element->textContent));
                $first[$kind] ??= $element;
            }
        }
        arsort($words);
        $most = array_key_first($words);

        return $most !== null && $words[$most] > 0 ? $first[$most]
            : $this->link() ?? $this->first($this->section->element, ['h1', 'h2', 'h3', 'a', 'span']) ?? $this->section->element;
    }

    /** Where its size is told: a heading tells the colour of words, but not how large they are. */
    public function sized(): DOMElement
    {
        $text = $this->text();

        return in_array(self::tag($text), self::HEADINGS, true) ? $this->section->element : $text;
    }

    public function heading(): ?DOMElement
    {
        return $this->first($this->section->element, self::HEADINGS) ?? $this->first($this->body, self::HEADINGS);
    }

    public function picture(): ?DOMElement
    {
        return $this->first($this->section->element, ['img']) ?? $this->first($this->body, ['img']);
    }

    /** One in a paragraph, else any. */
    public function link(): ?DOMElement
    {
        $other = null;
        foreach ($this->within($this->section->element, ['a']) as $link) {
            $isButton = preg_match(self::BUTTON, $link->getAttribute('class')) === 1;
            if ($isButton || ! $link->hasAttribute('href') || ! $this->isSeen($link)) {
                continue;
            }
            if ($link->parentNode instanceof DOMElement && in_array(self::tag($link->parentNode), self::PARAGRAPHS, true)) {
                return $link;
            }
            $other ??= $link;
        }

        return $other;
    }

    /** One that a style sheet has painted, in the section or else on the page. */
    public function button(): ?DOMElement
    {
        foreach ([$this->section->element, $this->body] as $in) {
            foreach ($this->within($in, ['a', 'button', 'input', 'span', 'div']) as $element) {
                $isOne = self::tag($element) === 'button' || preg_match(self::BUTTON, $element->getAttribute('class')) === 1
                    || (self::tag($element) === 'input' && in_array($element->getAttribute('type'), ['submit', 'button'], true));
                $isPainted = $isOne && isset($this->style($element)->winners['background-color'])
                    && $this->style($element)->background->alpha > 0.5;
                if ($isPainted && ! $this->isHidden($element)) {
                    return $element;
                }
            }
        }

        return null;
    }

    public function quiet(): ?DOMElement
    {
        foreach ($this->within($this->section->element, [...self::SMALL, 'p', 'span', 'div']) as $element) {
            $isOne = in_array(self::tag($element), self::SMALL, true)
                || preg_match(self::NAMED_SMALL, $element->getAttribute('class')) === 1;
            if ($isOne && $this->isSeen($element) && trim($element->textContent) !== '') {
                return $element;
            }
        }

        return null;
    }

    /** A box among others of its kind, or one that is called so. */
    public function card(): ?DOMElement
    {
        foreach ($this->within($this->section->element, ['div', 'article', 'li', 'section', 'aside', 'a', 'blockquote']) as $element) {
            $class = $element->getAttribute('class');
            $next = $element->nextElementSibling;
            $isOne = self::tag($element) === 'article' || preg_match(self::CARD, $class) === 1
                || ($class !== '' && $next?->localName === $element->localName && $next?->getAttribute('class') === $class);
            if ($isOne && self::isBox($this->style($element)) && $this->isSeen($element)) {
                return $element;
            }
        }

        return null;
    }

    /** Whether an element is seen, and on the very ground of the section. */
    public function isSeen(DOMElement $element): bool
    {
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            $style = $this->style($at);
            if ($this->isAway($at, $style)) {
                return false;
            }
            if ($at->isSameNode($this->section->element)) {
                return true;
            }
            $isPainted = $style->background->alpha > 0.01 || $style->value('background-image') !== 'none';
            if ($isPainted && ! $at->isSameNode($element)) {
                return false;
            }
        }

        return false;
    }

    private function isHidden(DOMElement $element): bool
    {
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            if ($this->isAway($at, $this->style($at))) {
                return true;
            }
        }

        return false;
    }

    private function isAway(DOMElement $element, Computed $style): bool
    {
        return $style->value('display') === 'none' || in_array(self::tag($element), ['template', 'noscript', 'gnomic-widget'], true);
    }

    /** @param  list<string>  $tags  the likeliest first */
    private function first(DOMElement $in, array $tags): ?DOMElement
    {
        foreach ($this->within($in, $tags) as $element) {
            $isSomething = self::tag($element) === 'img' || trim($element->textContent) !== '';
            $isThere = $in->isSameNode($this->section->element) ? $this->isSeen($element) : ! $this->isHidden($element);
            if ($isSomething && $isThere) {
                return $element;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $tags
     * @return iterable<DOMElement> tag by tag, of each so many
     */
    private function within(DOMElement $in, array $tags): iterable
    {
        $elements = $this->elements[spl_object_id($in)] ??= self::walked($in);
        foreach ($tags as $tag) {
            yield from $elements[$tag] ?? [];
        }
    }

    /** @return array<string, list<DOMElement>> so many of each tag, in the order of the document */
    private static function walked(DOMElement $in): array
    {
        $found = [];
        foreach (Html::elements($in, '*') as $element) {
            $tag = self::tag($element);
            if (count($found[$tag] ?? []) < self::LOOKED_AT && ! $element->isSameNode($in)) {
                $found[$tag][] = $element;
            }
        }

        return $found;
    }

    private static function tag(DOMElement $element): string
    {
        return strtolower((string) $element->localName);
    }

    public static function isBox(Computed $style): bool
    {
        return $style->background->alpha > 0.02 || ($style->length('border-top-width') > 0 && $style->length('border-left-width') > 0)
            || ! in_array($style->value('box-shadow'), ['none', ''], true);
    }
}
