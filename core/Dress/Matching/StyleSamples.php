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

    private const NAMED_SMALL = '/(?:^|[\s_-])(?:muted|quiet|meta|secondary|subtle|caption|date|byline|postmeta|timestamp)(?:$|[\s_-])/i';

    private const BUTTON = '/(?:^|[\s_-])(?:btn|button|cta)(?:$|[\s_-])/i';

    private const BOXES = ['div', 'article', 'li', 'section', 'aside', 'a', 'blockquote', 'figure'];

    private const CARD = '/(?:^|[\s_-])(?:card|tile|panel|box|teaser|quote|testimonial|review)(?:$|[\s_-])/i';

    /** @var array<int, array<string, list<DOMElement>>> by element and tag */
    private array $elements = [];

    /** @var array{0?: DOMElement|null} the usual card, once it was looked for */
    private array $card = [];

    /** @param  DOMElement  $body  of the page, where a section has no sample of its own and letters are asked after, not colours */
    public function __construct(
        public readonly PageStyles $styles,
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

    /** In the section, or else on the page: letters are asked after, which are the same there. */
    public function heading(): ?DOMElement
    {
        return $this->headingHere() ?? $this->first($this->body, self::HEADINGS);
    }

    /** On the very ground of the section. */
    public function headingHere(): ?DOMElement
    {
        return $this->first($this->section->element, self::HEADINGS);
    }

    /** Whether the font of words is another than what stands around them would have. */
    public function isOtherThanAround(DOMElement $text): bool
    {
        return $this->style($text)->family !== $this->style($this->section->element)->family;
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

    /** One in the section that a style sheet has painted or given an edge; else one elsewhere on the page that is painted. */
    public function button(): ?DOMElement
    {
        return $this->buttonHere() ?? $this->buttonIn($this->body, false);
    }

    public function buttonHere(): ?DOMElement
    {
        return $this->buttonIn($this->section->element, true);
    }

    /** Whether a button has its colour as paint or in its words. */
    public function paint(?DOMElement $button): string
    {
        return $button !== null && $this->style($button)->background->alpha > 0.5 ? 'background-color' : 'color';
    }

    private function buttonIn(DOMElement $in, bool $mayBeOpen): ?DOMElement
    {
        foreach ([false, true] as $isOpen) {
            foreach ($isOpen && ! $mayBeOpen ? [] : $this->within($in, ['a', 'button', 'input', 'span', 'div']) as $element) {
                $isOne = self::tag($element) === 'button' || preg_match(self::BUTTON, $element->getAttribute('class')) === 1
                    || (self::tag($element) === 'input' && in_array($element->getAttribute('type'), ['submit', 'button'], true));
                if (! $isOne || $this->isHidden($element)) {
                    continue;
                }
                $style = $this->style($element);
                $isPainted = isset($style->winners['background-color']) && $style->background->alpha > 0.5;
                $isEdged = isset($style->winners['border-top-color']) && $style->length('border-top-width') > 0 && $this->isSeen($element);
                if ($isOpen ? $isEdged : $isPainted) {
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

    /** The usual one among boxes that stand among others of their kind, or that are called so. */
    public function card(): ?DOMElement
    {
        if ($this->card === []) {
            $this->card = [$this->usualCard()];
        }

        return $this->card[0] ?? null;
    }

    private function usualCard(): ?DOMElement
    {
        $times = $first = [];
        foreach ($this->within($this->section->element, self::BOXES) as $element) {
            $class = $element->getAttribute('class');
            $isLike = fn (?DOMElement $other): bool => $other !== null && $other->localName === $element->localName
                && ($other->getAttribute('class') === $class);
            $isAmong = $class !== '' && ($isLike($element->nextElementSibling) || $isLike($element->previousElementSibling));
            $isOne = self::tag($element) === 'article' || preg_match(self::CARD, $class) === 1 || $isAmong;
            $isButton = preg_match(self::BUTTON, $class) === 1 || trim($element->textContent) === '';
            if (! $isOne || $isButton || ! self::isBox($this->style($element)) || ! $this->isSeen($element)) {
                continue;
            }
            $style = $this->style($element);
            $kind = implode(' ', [$style->background->toHex(), $style->radius(), $style->length('padding-left'),
                $style->length('border-top-width'), $style->value('box-shadow')]);
            $times[$kind] = ($times[$kind] ?? 0) + 1;
            $first[$kind] ??= $element;
        }
        // Of as many, the first.
        $most = $times === [] ? null : array_search(max($times), $times, true);

        return $most === null || $most === false ? null : $first[$most];
    }

    /** Where words on a card stand. */
    public function textOn(DOMElement $card): DOMElement
    {
        foreach ($this->within($card, [...self::PARAGRAPHS, 'div', 'span']) as $element) {
            if (trim($element->textContent) !== '' && $element->getElementsByTagName('a')->length === 0) {
                return $element;
            }
        }

        return $card;
    }

    public function linkOn(DOMElement $card): ?DOMElement
    {
        foreach ($this->within($card, ['a']) as $link) {
            if ($link->hasAttribute('href') && preg_match(self::BUTTON, $link->getAttribute('class')) !== 1 && ! $this->isHidden($link)) {
                return $link;
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
