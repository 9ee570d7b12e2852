<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMDocument;
use Gnomic\Entry\Html;
use Gnomic\Text\Pieces;

/** Names of elements, classes and identifiers that a page has: a selector that needs another matches nothing of it. */
final class PageNames
{
    /** @var array<string, true> "div", ".card", "#top" */
    private array $names = ['*' => true];

    public function __construct(DOMDocument $page)
    {
        foreach (Html::elements($page, '*') as $element) {
            $this->names[strtolower($element->localName ?? '')] = true;
            $classes = $element->getAttribute('class');
            foreach (Pieces::of($classes) as $class) {
                $this->names[".$class"] = true;
            }
            if ($element->hasAttribute('id')) {
                $this->names['#'.$element->getAttribute('id')] = true;
            }
        }
    }

    /** Whether one of the selectors of a list may match something; where that is not sure, it may. */
    public function mayMatch(string $selectors): bool
    {
        $selectors = EscapedNames::hidden($selectors);
        // What stands in brackets need not be there, and holds commas.
        if (str_contains($selectors, '(') || str_contains($selectors, '[')) {
            $before = '';
            while ($before !== $selectors) {
                $before = $selectors;
                $selectors = (string) preg_replace('/:[\w-]+\([^()]*\)|\([^()]*\)|\[[^\]]*\]/', '', $selectors);
            }
        }
        foreach (explode(',', $selectors) as $selector) {
            if ($this->hasAll($selector)) {
                return true;
            }
        }

        return false;
    }

    private function hasAll(string $selector): bool
    {
        if (
            str_contains($selector, '::')
            || preg_match(
                '/:(?:hover|focus|active|visited|before|after|target|focus-visible|focus-within|placeholder)\b/',
                $selector,
            ) === 1
        ) {
            return false; // of a part that is no element, or of another state
        }
        preg_match_all('/([.#:]?)([\w\x80-\xff-]+|\*)/', $selector, $found, PREG_SET_ORDER);
        foreach ($found as [, $kind, $name]) {
            if ($kind !== ':' && ! isset($this->names[$kind === '' ? strtolower($name) : $kind.EscapedNames::shown($name)])) {
                return false;
            }
        }

        return true;
    }
}
