<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMElement;
use DOMNode;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/** The things that a page describes in RDFa Lite 1.1 (W3C), and what RDFa 1.0 pages add to it: rel, about. */
final class Rdfa
{
    /** @var list<Item> */
    private array $tops = [];

    /** @var array<string, Item> */
    private array $byId = [];

    private function __construct(private readonly ?string $base)
    {
    }

    /** @return list<Item> */
    public static function itemsIn(DOMNode $document, ?string $base): array
    {
        $reader = new self($base);
        $reader->walk($document, null, [], 0);

        return $reader->tops;
    }

    /** @param  list<string>  $rel  properties that wait for the next thing, set by an element above */
    private function walk(DOMNode $node, ?Item $item, array $rel, int $depth): void
    {
        for ($child = $node->firstChild; $child !== null && $depth < 200; $child = $child->nextSibling) {
            if (! $child instanceof DOMElement) {
                continue;
            }
            $properties = self::names($child, 'property');
            $types = self::names($child, 'typeof');
            $id = $this->idOf($child);
            if ($child->hasAttribute('typeof')) {
                $thing = $this->thing($types, $id);
                $names = [...$properties, ...$rel, ...self::names($child, 'rel')];
                foreach ($names as $name) {
                    $item?->add($name, $thing);
                }
                if ($item === null || $names === []) {
                    $this->tops[] = $thing;
                }
                $this->walk($child, $thing, [], $depth + 1);

                continue;
            }
            foreach ($properties as $name) {
                $named = $child->hasAttribute('resource') && $id !== null ? ($this->byId[$id] ?? null) : null;
                $item?->add($name, $named ?? MarkedValues::of($child, $this->base));
            }
            $below = $child->hasAttribute('about') && $id !== null ? ($this->byId[$id] ?? $item) : $item;
            $waiting = self::names($child, 'rel');
            if (
                $waiting !== []
                && $item !== null
                && ($child->hasAttribute('href') || $child->hasAttribute('resource'))
                && $properties === []
            ) {
                foreach ($waiting as $name) {
                    $item->add($name, MarkedValues::of($child, $this->base));
                }
                $waiting = [];
            }
            $this->walk($child, $below, $waiting === [] ? $rel : $waiting, $depth + 1);
        }
    }

    /** @param  list<string>  $types */
    private function thing(array $types, ?string $id): Item
    {
        if ($id !== null && isset($this->byId[$id])) {
            return $this->byId[$id];
        }
        $thing = new Item($types, [], $id);
        if ($id !== null) {
            $this->byId[$id] = $thing;
        }

        return $thing;
    }

    private function idOf(DOMElement $element): ?string
    {
        $id = Words::filled($element->getAttribute('about')) ?? Words::filled($element->getAttribute('resource'));

        return $id === null ? null : MarkedValues::whole($id, $this->base);
    }

    /** @return list<string> */
    private static function names(DOMElement $element, string $attribute): array
    {
        $names = Pieces::of($element->getAttribute($attribute));

        return array_map(Item::short(...), $names);
    }
}
