<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMElement;
use DOMNode;
use Gnomic\Entry\Html;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/**
 * Microformats2 (microformats.org/wiki/microformats2-parsing) as far as reviews and posts go: h-review, h-entry,
 * h-product, h-card, h-feed; and the older hReview, by the rules of backward compatibility.
 */
final class Microformats
{
    private const OLD_ROOTS = [
        'hreview' => 'h-review',
        'hreview-aggregate' => 'h-review-aggregate',
        'hentry' => 'h-entry',
        'hfeed' => 'h-feed',
        'vcard' => 'h-card',
        'hproduct' => 'h-product',
    ];

    private const OLD_NAMES = [
        'h-review' => [
            'summary' => 'p-name',
            'item' => 'p-item',
            'reviewer' => 'p-author',
            'dtreviewed' => 'dt-published',
            'rating' => 'p-rating',
            'best' => 'p-best',
            'worst' => 'p-worst',
            'description' => 'e-content',
            'permalink' => 'u-url',
        ],
        'h-entry' => [
            'entry-title' => 'p-name',
            'entry-summary' => 'p-summary',
            'entry-content' => 'e-content',
            'published' => 'dt-published',
            'updated' => 'dt-updated',
            'author' => 'p-author',
            'bookmark' => 'u-url',
        ],
        'h-card' => ['fn' => 'p-name', 'photo' => 'u-photo', 'url' => 'u-url', 'locality' => 'p-locality', 'title' => 'p-job-title'],
        'h-product' => ['fn' => 'p-name', 'photo' => 'u-photo', 'url' => 'u-url', 'review' => 'p-review'],
        'h-item' => ['fn' => 'p-name', 'photo' => 'u-photo', 'url' => 'u-url'],
    ];

    private function __construct(private readonly ?string $base)
    {
    }

    /** @return list<Item> types as "h-review"; properties without prefix; "content" has its markup under "html" */
    public static function itemsIn(DOMNode $document, ?string $base): array
    {
        $reader = new self($base);
        $items = [];
        $reader->find($document, $items);

        return $items;
    }

    /** @param  list<Item>  $items */
    private function find(DOMNode $node, array &$items, int $depth = 0): void
    {
        for ($child = $node->firstChild; $child !== null && $depth < 200; $child = $child->nextSibling) {
            if ($child instanceof DOMElement) {
                if (self::roots($child) !== []) {
                    $items[] = $this->item($child, self::roots($child));
                } else {
                    $this->find($child, $items, $depth + 1);
                }
            }
        }
    }

    /** @return list<string> */
    private static function roots(DOMElement $element): array
    {
        $classes = self::classes($element);
        $roots = array_values(array_filter($classes, fn (string $class): bool => preg_match('/^h-[a-z]+(?:-[a-z]+)*$/', $class) === 1));
        if ($roots === []) {
            foreach ($classes as $class) {
                if (isset(self::OLD_ROOTS[$class])) {
                    $roots[] = self::OLD_ROOTS[$class];
                }
            }
        }

        return $roots;
    }

    /** @return list<string> */
    private static function classes(DOMElement $element): array
    {
        return Pieces::of($element->getAttribute('class'));
    }

    /** @param  list<string>  $types */
    private function item(DOMElement $element, array $types): Item
    {
        $item = new Item($types);
        $isOld = array_filter(self::classes($element), fn (string $class): bool => str_starts_with($class, 'h-')) === [];
        $this->properties($element, $item, $isOld, 0);
        $this->imply($element, $item);

        return $item;
    }

    private function properties(DOMElement $element, Item $item, bool $isOld, int $depth): void
    {
        for ($child = $element->firstElementChild; $child !== null && $depth < 200; $child = $child->nextElementSibling) {
            $names = $isOld
                ? self::oldNames($child, $item)
                : array_filter(
                    self::classes($child),
                    fn (string $class): bool => preg_match('/^(?:p|u|dt|e)-[a-z]+(?:-[a-z]+)*$/', $class) === 1,
                );
            $roots = self::roots($child);
            if ($isOld && $roots === [] && in_array('p-item', $names, true)) {
                $roots = ['h-item'];
            }
            foreach ($names as $name) {
                [$prefix, $short] = explode('-', $name, 2);
                $item->add($short, $roots === [] ? $this->value($child, $prefix) : $this->nested($child, $roots, $isOld));
            }
            if ($roots === []) {
                $this->properties($child, $item, $isOld, $depth + 1);
            } elseif ($names === []) {
                $item->add('children', $this->item($child, $roots));
            }
        }
    }

    /** @param  list<string>  $roots */
    private function nested(DOMElement $element, array $roots, bool $isOld): Item
    {
        if ($roots !== ['h-item'] || ! $isOld) {
            return $this->item($element, $roots);
        }
        $item = new Item($roots);
        $this->properties($element, $item, true, 0);
        $this->imply($element, $item);

        return $item;
    }

    /** @return list<string> */
    private static function oldNames(DOMElement $element, Item $item): array
    {
        $known = self::OLD_NAMES[$item->types[0] ?? ''] ?? [];
        $names = array_values(array_intersect_key($known, array_flip(self::classes($element))));
        foreach (Pieces::of(strtolower($element->getAttribute('rel'))) as $rel) {
            if ($rel === 'tag') {
                $names[] = 'p-category';
            } elseif ($rel === 'bookmark') {
                $names[] = 'u-url';
            }
        }

        return $names;
    }

    private function value(DOMElement $element, string $prefix): string|Item
    {
        $name = strtolower((string) $element->localName);
        if ($prefix === 'e') {
            return new Item(['content'], ['value' => [Html::textOf($element)], 'html' => [Html::within($element)]]);
        }
        if ($prefix === 'u') {
            $attribute = match (true) {
                in_array($name, ['a', 'area', 'link'], true) => 'href',
                in_array($name, ['img', 'audio', 'video', 'source', 'iframe'], true) => 'src',
                $name === 'object' => 'data',
                default => null,
            };
            $written = $attribute === null || ! $element->hasAttribute($attribute)
                ? Words::filled($element->getAttribute('value')) ?? trim($element->textContent)
                : $element->getAttribute($attribute);

            return (string) MarkedValues::whole($written, $this->base);
        }
        $parts = $this->valueClasses($element);
        if ($parts !== []) {
            return trim(implode($prefix === 'dt' ? ' ' : '', $parts));
        }

        return self::own($element, $name) ?? Html::textOf($element);
    }

    private static function own(DOMElement $element, string $name): ?string
    {
        $attribute = match (true) {
            in_array($name, ['time', 'ins', 'del'], true) && $element->hasAttribute('datetime') => 'datetime',
            in_array($name, ['abbr', 'link'], true) && $element->hasAttribute('title') => 'title',
            in_array($name, ['data', 'input'], true) && $element->hasAttribute('value') => 'value',
            in_array($name, ['img', 'area'], true) && $element->hasAttribute('alt') => 'alt',
            default => null,
        };

        return $attribute === null ? null : trim($element->getAttribute($attribute));
    }

    /**
     * The value class pattern: parts of a value marked inside it.
     *
     * @return list<string>
     */
    private function valueClasses(DOMElement $element): array
    {
        $parts = [];
        for ($child = $element->firstElementChild; $child !== null; $child = $child->nextElementSibling) {
            $classes = self::classes($child);
            if (in_array('value-title', $classes, true)) {
                $parts[] = trim($child->getAttribute('title'));
            } elseif (in_array('value', $classes, true)) {
                $parts[] = self::own($child, strtolower((string) $child->localName)) ?? Html::textOf($child);
            } else {
                array_push($parts, ...$this->valueClasses($child));
            }
        }

        return $parts;
    }

    /** A name and an address that go without saying (microformats2-parsing, implied properties). */
    private function imply(DOMElement $element, Item $item): void
    {
        $explicit = array_filter($item->properties, fn (array $values): bool => $values !== []);
        if (
            $item->all('name') === []
            && ! isset($explicit['content'])
            && ($explicit === [] || array_diff(array_keys($explicit), ['url', 'photo']) === [])
        ) {
            $name = strtolower((string) $element->localName);
            $image = $element->firstElementChild !== null
                && $element->childElementCount === 1
                && strtolower((string) $element->firstElementChild->localName) === 'img'
                ? $element->firstElementChild
                : null;
            $item->add(
                'name',
                self::own($element, $name) ?? (
                    $image !== null && $image->getAttribute('alt') !== ''
                        ? $image->getAttribute('alt')
                        : Html::textOf($element)
                ),
            );
        }
        if ($item->all('url') === [] && strtolower((string) $element->localName) === 'a' && $element->hasAttribute('href')) {
            $item->add('url', (string) MarkedValues::whole($element->getAttribute('href'), $this->base));
        }
        if ($item->all('photo') === [] && strtolower((string) $element->localName) === 'img' && $element->hasAttribute('src')) {
            $item->add('photo', (string) MarkedValues::whole($element->getAttribute('src'), $this->base));
        }
    }
}
