<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use DOMElement;

/** Something of Gnomic in a page. @internal */
final readonly class Tag
{
    private const UNSEEN = ['template', 'noscript', 'head', 'script', 'textarea', 'title'];

    /**
     * @param  string  $key  of a widget or a site; empty where it has none
     * @param  string  $address  whole; empty for what stands in the page itself
     * @param  bool  $isHeld  whether something keeps it from running until visitors agree
     * @param  bool  $isOther  whether it comes from another host
     */
    public function __construct(
        public string $key,
        public string $address,
        public DOMElement $element,
        public bool $isHeld = false,
        public bool $isOther = false,
    ) {
    }

    /** Whether the markup itself hides it: an attribute, a style of its own, an element that shows nothing. */
    public function isHidden(): bool
    {
        for ($at = $this->element; $at instanceof DOMElement; $at = $at->parentNode) {
            $style = strtolower((string) preg_replace('/\s+/', '', $at->getAttribute('style')));
            $isUnseen = in_array($at->localName, self::UNSEEN, true) && ! self::isShadow($at);
            if ($at->hasAttribute('hidden') || preg_match('/(?:^|;)display:none/', $style) === 1 || $isUnseen) {
                return true;
            }
        }

        return false;
    }

    /** Whether a template is one that browsers make the shadow of what it stands in (HTML Standard, "attach a shadow root"). */
    public static function isShadow(DOMElement $element): bool
    {
        $of = (string) $element->parentNode?->localName;

        return $element->localName === 'template' && in_array(
            strtolower($element->getAttribute('shadowrootmode')),
            ['open', 'closed'],
            true,
        )
            && (
                str_contains($of, '-')
                    || preg_match('/^(?:article|aside|blockquote|body|div|footer|h[1-6]|header|main|nav|p|section|span)$/D', $of) === 1
            );
    }

    /** Whether the page has the edition in it already, put there by its server. */
    public function hasEdition(): bool
    {
        for ($child = $this->element->firstChild; $child !== null; $child = $child->nextSibling) {
            if ($child instanceof DOMElement && $child->localName === 'template' && $child->hasAttribute('shadowrootmode')) {
                return true;
            }
        }

        return false;
    }

    /** Whether browsers refuse it, since the page is protected and it is asked for without protection. */
    public function isMixedOn(string $page): bool
    {
        return str_starts_with(strtolower($page), 'https:') && str_starts_with(strtolower($this->address), 'http:')
            && preg_match('~^http://(?:localhost|127\.\d+\.\d+\.\d+|\[::1\])(?:[:/]|$)~i', $this->address) !== 1;
    }
}
