<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMElement;
use DOMNode;
use Gnomic\Entry\Html;
use Gnomic\Text\Pieces;
use SplObjectStorage;

/**
 * The things that a page describes in microdata (HTML standard, §5), with itemref. An element is one thing however often it is
 * referred to, so that references which refer to each other come to an end.
 */
final class Microdata
{
    /** @var array<string, DOMElement> */
    private array $byId = [];

    /** Properties that are looked at, beyond all that pages have. */
    private const MOST = 60_000;

    private int $left = self::MOST;

    /** @var SplObjectStorage<DOMElement, Item> */
    private SplObjectStorage $items;

    private function __construct(private readonly ?string $base)
    {
        /** @var SplObjectStorage<DOMElement, Item> $items */
        $items = new SplObjectStorage;
        $this->items = $items;
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
        if (isset($this->items[$element])) {
            return $this->items[$element];
        }
        $types = Pieces::of($element->getAttribute('itemtype'));
        $this->items[$element] = $item = new Item(
            array_map(Item::short(...), $types),
            [],
            MarkedValues::whole($element->getAttribute('itemid'), $this->base),
        );
        $this->walk($element, $item, $depth);
        $references = Pieces::of($element->getAttribute('itemref'));
        foreach (array_unique($references) as $id) {
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
        if (--$this->left < 0) {
            return;
        }
        $names = Pieces::of($element->getAttribute('itemprop'));
        $isItem = $element->hasAttribute('itemscope');
        if ($names !== [] && $depth < 12) {
            $value = $isItem ? $this->item($element, $depth + 1) : MarkedValues::of($element, $this->base);
            foreach ($names as $name) {
                $item->add(Item::short($name), $value);
            }
        }
        if (! $isItem) {
            $this->walk($element, $item, $depth);
        }
    }
}
