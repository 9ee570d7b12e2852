<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;

/** A part of a page that rules are meant for alone: from what begins it down to what ends it (CSS Cascade 6, "@scope"). */
final readonly class RuleScope
{
    /**
     * @param  list<PageSelector>|null  $roots  what begins it; null: the page
     * @param  list<PageSelector>  $limits  what ends it
     */
    private function __construct(private ?array $roots, private array $limits, private ?self $outer)
    {
    }

    /** @param  string  $prelude  what stands behind "@scope": "(.card) to (.content)" */
    public static function of(string $prelude, ?self $outer): self
    {
        $pattern = '/^(?:\((.*?)\)(?=\s*(?:to\b|$)))?\s*(?:to\s*\((.*)\))?$/siD';
        preg_match($pattern, trim($prelude), $found);
        $roots = trim($found[1] ?? '');
        $limits = trim($found[2] ?? '');

        return new self(
            $roots === '' ? null : PageSelector::all($roots),
            $limits === '' ? [] : PageSelector::all($limits),
            $outer,
        );
    }

    /** @return list<DOMElement|null> what begins a part that an element stands in, the nearest first; null: the page itself */
    public function rootsFor(DOMElement $element): array
    {
        $roots = [];
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            $isRoot = $this->roots !== null && self::isAny($this->roots, $at, null);
            if ($isRoot && $this->isOpen($element, $at) && $this->isWithinOuter($at)) {
                $roots[] = $at;
            }
        }

        return $this->roots === null && $this->isOpen($element, null) ? [null] : $roots;
    }

    private function isWithinOuter(DOMElement $root): bool
    {
        return $this->outer === null || $this->outer->rootsFor($root) !== [];
    }

    /** Whether nothing ends it between a root and an element, itself included. */
    private function isOpen(DOMElement $element, ?DOMElement $root): bool
    {
        for ($at = $element; $at instanceof DOMElement && $at !== $root; $at = $at->parentNode) {
            if (self::isAny($this->limits, $at, $root)) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<PageSelector>  $selectors */
    private static function isAny(array $selectors, DOMElement $element, ?DOMElement $scope): bool
    {
        foreach ($selectors as $selector) {
            if ($selector->matches($element, $scope)) {
                return true;
            }
        }

        return false;
    }
}
