<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMNode;
use Gnomic\Entry\Html;
use Gnomic\Gather\Problem;

/**
 * The things that a page describes in JSON-LD 1.1 (W3C), as pages use it: nodes, lists of nodes and @graph, values with
 * a language, references by @id within the page, @reverse. Contexts are not fetched: names count without their vocabulary.
 */
final class JsonLd
{
    private const DEEPEST = 12;

    /** Things of a page, and values of one property, that are looked at. */
    private const MOST = 20_000;

    private const MOST_VALUES = 2_000;

    private int $made = 0;

    /** @var array<string, Item> things by @id: one, however often it is referred to */
    private array $items = [];

    /** @var array<string, array<array-key, mixed>> nodes by @id, those that say something */
    private array $nodes = [];

    /**
     * @param  list<Problem>  $problems
     * @return list<Item>
     */
    public static function itemsIn(DOMNode $document, array &$problems): array
    {
        $values = [];
        $number = 0;
        foreach (Html::elements($document, 'script') as $script) {
            if (strtolower(trim((string) strtok($script->getAttribute('type').';', ';'))) !== 'application/ld+json') {
                continue;
            }
            $number++;
            $value = self::decoded($script->textContent);
            if (is_array($value)) {
                $values[] = $value;
            } else {
                $problems[] = new Problem("JSON-LD script $number", (
                    json_last_error() === JSON_ERROR_NONE ? 'It describes nothing' : 'It is broken JSON ('.json_last_error_msg().')'
                ).'; it was skipped.');
            }
        }
        $reader = new self;
        foreach ($values as $value) {
            $reader->index($value, 0);
        }
        $items = [];
        foreach ($values as $value) {
            array_push($items, ...$reader->top($value, 0));
        }

        if ($reader->made >= self::MOST) {
            $problems[] = new Problem(
                '',
                'Its JSON-LD describes more than '.number_format(self::MOST).' things; the rest was skipped.',
            );
        }

        return $items;
    }

    private static function decoded(string $json): mixed
    {
        $bare = trim((string) preg_replace(
            '~^\s*(?:<!--|//\s*<!\[CDATA\[|/\*\s*<!\[CDATA\[\s*\*/|<!\[CDATA\[)|(?:-->|//\s*\]\]>|/\*\s*\]\]>\s*\*/|\]\]>)\s*$~',
            '',
            trim($json, " \t\r\n\0\u{FEFF}"),
        ));
        $value = json_decode($bare, true, 64);
        if ($value === null) {
            // Comments, line breaks within strings and commas before a closing bracket are the usual faults.
            $mended = (string) preg_replace('/[\x00-\x1F]+/', ' ', self::withoutComments($bare));
            $mended = (string) preg_replace('/("(?:[^"\\\\]++|\\\\.)*+")|,(?=\s*[}\]])/s', '$1', $mended);
            $value = json_decode(rtrim($mended, '; '), true, 64);
        }

        return $value;
    }

    /** As programs allow them: to the end of the line, or between slash and star; those within strings are words. */
    private static function withoutComments(string $json): string
    {
        return (string) preg_replace('~("(?:[^"\\\\]++|\\\\.)*+")|//[^\r\n]*|/\*.*?\*/|<!--.*?-->~s', '$1', $json);
    }

    private function index(mixed $value, int $depth): void
    {
        if (! is_array($value) || $depth > self::DEEPEST) {
            return;
        }
        $id = $value['@id'] ?? null;
        if (is_string($id) && count($value) > 1) {
            $this->nodes[$id] = ($this->nodes[$id] ?? []) + $value;
        }
        foreach ($value as $member) {
            $this->index($member, $depth + 1);
        }
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return list<Item>
     */
    private function top(array $value, int $depth): array
    {
        $items = [];
        if (array_is_list($value) || isset($value['@graph'])) {
            $parts = array_is_list($value)
                ? $value
                : (is_array($value['@graph']) ? (array_is_list($value['@graph']) ? $value['@graph'] : [$value['@graph']]) : []);
            foreach ($depth < self::DEEPEST ? array_slice($parts, 0, self::MOST) : [] as $part) {
                array_push($items, ...(is_array($part) ? $this->top($part, $depth + 1) : []));
            }

            return $items;
        }

        return [$this->item($value, [])];
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @param  list<string>  $above  identifiers of the nodes that this one stands in, against circles
     */
    private function item(array $node, array $above): Item
    {
        $id = is_string($node['@id'] ?? null) ? $node['@id'] : null;
        if ($id !== null && isset($this->items[$id])) {
            return $this->items[$id];
        }
        if ($id !== null && isset($this->nodes[$id])) {
            $node += $this->nodes[$id];
        }
        $types = array_filter(is_array($node['@type'] ?? null) ? $node['@type'] : [$node['@type'] ?? null], is_string(...));
        $item = new Item(array_values(array_map(Item::short(...), $types)), [], $id);
        if (++$this->made > self::MOST) {
            return $item;
        }
        if ($id !== null && isset($this->nodes[$id])) {
            $this->items[$id] = $item;
        }
        $above = $id === null ? [...$above, ''] : [...$above, $id];
        foreach (count($above) > self::DEEPEST ? [] : $node as $name => $value) {
            if ($name === '@reverse' && is_array($value)) {
                foreach (self::listed($value['itemReviewed'] ?? []) as $review) {
                    $this->add($item, 'review', $review, $above);
                }
            } elseif (is_string($name) && ! str_starts_with($name, '@')) {
                foreach (self::listed($value) as $one) {
                    $this->add($item, Item::short($name), $one, $above);
                }
            }
        }

        return $item;
    }

    /** @param  list<string>  $above */
    private function add(Item $item, string $name, mixed $value, array $above): void
    {
        if (is_array($value) && array_key_exists('@value', $value)) {
            $value = $value['@value'];
        }
        if (is_bool($value)) {
            $item->add($name, $value ? 'true' : 'false');
        } elseif (is_string($value) || is_int($value) || is_float($value)) {
            $item->add($name, is_string($value) ? self::plain($value) : (string) $value);
        } elseif (is_array($value)) {
            $id = $value['@id'] ?? null;
            // A node that stands above is a way back, not a part; one that is told nowhere is only an address.
            if (is_string($id) && count($value) === 1 && (in_array($id, $above, true) || ! isset($this->nodes[$id]))) {
                $item->add($name, new Item([], [], $id));
            } else {
                $item->add($name, $this->item($value, $above));
            }
        }
    }

    /** Pages write entities of HTML into strings, where JSON has none: "Tom &amp; Ann". */
    private static function plain(string $value): string
    {
        return preg_match('/&(?:#\d{1,7}|#x[0-9a-f]{1,6}|[a-z][a-z0-9]{1,31});/i', $value) === 1
            ? html_entity_decode($value, ENT_QUOTES | ENT_HTML5, 'UTF-8')
            : $value;
    }

    /** @return list<mixed> */
    private static function listed(mixed $value): array
    {
        if (is_array($value) && is_array($value['@list'] ?? $value['@set'] ?? null)) {
            $value = $value['@list'] ?? $value['@set'];
        }

        if (! is_array($value) || ! array_is_list($value)) {
            return [$value];
        }
        $flat = [];
        foreach (array_slice($value, 0, self::MOST_VALUES) as $one) {
            array_push($flat, ...(is_array($one) && array_is_list($one) ? array_slice($one, 0, self::MOST_VALUES) : [$one]));
        }

        return array_slice($flat, 0, self::MOST_VALUES);
    }
}
