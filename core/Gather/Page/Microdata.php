<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMElement;
use DOMNode;
use Gnomic\Entry\Html;

/** The things that a page describes in microdata (HTML standard, §5), with itemref. */
final class Microdata
{
    /** @var array<string, DOMElement> */
    private array $byId = [];

    private function __construct(private readonly ?string $base)
    {
    }

    /** @return list<Item> */
    public static function itemsIn(DOMNode $document, ?string $base): array
    {
        $reader = new self($base);
        $tops = [];
        foreach (Html::elements($document, '*') as $element) {
            if ($element->hasAttribute('id')) {
                $reader->byId[$element->getAttribute('id')] ??= $element;
            }
            if ($element->hasAttribute('itemscope') && ! $element->hasAttribute('itemprop')) {
                $tops[] = $element;
            }
        }

        return array_map(fn (DOMElement $top): Item => $reader->item($top, 0), $tops);
    }

    private function item(DOMElement $element, int $depth): Item
    {
        $types = preg_split('/\s+/', $element->getAttribute('itemtype'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $item = new Item(array_map(Item::short(...), $types), [], Values::whole($element->getAttribute('itemid'), $this->base));
        $this->walk($element, $item, $depth);
        foreach (preg_split('/\s+/', $element->getAttribute('itemref'), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $id) {
            $referred = $this->byId[$id] ?? null;
            if ($referred !== null && $depth < 8) {
                $this->property($referred, $item, $depth);
            }
        }

        return $item;
    }

    private function walk(DOMElement $element, Item $item, int $depth): void
    {
        for ($child = $element->firstElementChild; $child !== null; $child = $child->nextElementSibling) {
            $this->property($child, $item, $depth);
        }
    }

    private function property(DOMElement $element, Item $item, int $depth): void
    {
        $names = preg_split('/\s+/', $element->getAttribute('itemprop'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isItem = $element->hasAttribute('itemscope');
        if ($names !== [] && $depth < 12) {
            $value = $isItem ? $this->item($element, $depth + 1) : Values::of($element, $this->base);
            foreach ($names as $name) {
                $item->add(Item::short($name), $value);
            }
        }
        if (! $isItem) {
            $this->walk($element, $item, $depth);
        }
    }
}
