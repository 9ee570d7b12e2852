<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use DOMNode;
use Symfony\Component\CssSelector\Exception\ExceptionInterface;
use Symfony\Component\CssSelector\Node\FunctionNode;
use Symfony\Component\CssSelector\Parser\Parser;

/** States of an element that nobody uses, and its place among others: pseudo-classes of Selectors 4. */
final class ElementStates
{
    /** Beyond this place nobody counts. */
    private const MOST = 2_000;

    private const FIELDS = ['button', 'input', 'select', 'textarea', 'optgroup', 'option', 'fieldset'];

    public static function is(string $name, DOMElement $element): bool
    {
        $tag = strtolower((string) $element->localName);

        return match ($name) {
            'root' => ! $element->parentNode instanceof DOMElement,
            'link', 'any-link' => in_array($tag, ['a', 'area'], true) && $element->hasAttribute('href'),
            'first-child' => $element->previousElementSibling === null,
            'last-child' => $element->nextElementSibling === null,
            'only-child' => $element->previousElementSibling === null && $element->nextElementSibling === null,
            'first-of-type' => self::place($element, true, false) === 1,
            'last-of-type' => self::place($element, true, true) === 1,
            'only-of-type' => self::place($element, true, false) === 1 && self::place($element, true, true) === 1,
            'empty' => self::isEmpty($element),
            'disabled' => in_array($tag, self::FIELDS, true) && $element->hasAttribute('disabled'),
            'enabled' => in_array($tag, self::FIELDS, true) && ! $element->hasAttribute('disabled'),
            'checked' => $element->hasAttribute('checked') || $element->hasAttribute('selected'),
            'required' => $element->hasAttribute('required'),
            'optional' => in_array($tag, self::FIELDS, true) && ! $element->hasAttribute('required'),
            'read-write' => in_array($tag, ['input', 'textarea'], true) && ! $element->hasAttribute('readonly'),
            'defined', 'read-only' => true,
            'open' => $element->hasAttribute('open'),
            default => false,
        };
    }

    /** "nth-child" and its kin, and "lang", by what stands in their brackets. */
    public static function isCounted(FunctionNode $node, DOMElement $element): bool
    {
        $name = strtolower($node->getName());
        if ($name === 'lang') {
            $wanted = strtolower((string) ($node->getArguments()[0] ?? null)?->getValue());

            return $wanted !== '' && str_starts_with(self::language($element).'-', "$wanted-");
        }
        if (! in_array($name, ['nth-child', 'nth-last-child', 'nth-of-type', 'nth-last-of-type'], true)) {
            return false;
        }
        try {
            $series = Parser::parseSeries($node->getArguments());
        } catch (ExceptionInterface) {
            return false;
        }

        return self::isAt($series, self::place($element, str_ends_with($name, 'of-type'), str_contains($name, 'last')));
    }

    /** @param  string  $series  "2n + 1", "odd", "3" @param  int  $place  from 1 */
    public static function isInSeries(string $series, int $place): bool
    {
        $series = strtolower((string) preg_replace('/\s+/', '', $series));
        $series = ['odd' => '2n+1', 'even' => '2n'][$series] ?? $series;
        if (preg_match('/^(?:([+-]?\d*)n)?([+-]?\d+)?$/D', $series, $found) !== 1 || $series === '') {
            return false;
        }
        $step = $found[1] ?? '';
        $step = str_contains($series, 'n') ? (in_array($step, ['', '+'], true) ? 1 : ($step === '-' ? -1 : (int) $step)) : 0;

        return self::isAt([$step, (int) ($found[2] ?? 0)], $place);
    }

    /** @param  array<mixed>  $series  a step and an offset */
    private static function isAt(array $series, int $place): bool
    {
        [$step, $offset] = array_map(fn (mixed $number): int => is_numeric($number) ? (int) $number : 0, array_values($series));
        $steps = $place - $offset;

        return $step === 0 ? $steps === 0 : $steps % $step === 0 && $steps / $step >= 0;
    }

    private static function language(DOMElement $element): string
    {
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            if ($at->hasAttribute('lang')) {
                return strtolower($at->getAttribute('lang'));
            }
        }

        return '';
    }

    /** From 1, among all or among those of its kind, from the front or from the end. */
    private static function place(DOMElement $element, bool $ofKind, bool $isFromEnd): int
    {
        /** @var DOMElement|null $counted */
        static $counted = null;
        /** @var array<string, int> $places */
        static $places = [];
        // An element is asked by one rule after the other.
        if ($counted !== $element) {
            [$counted, $places] = [$element, []];
        }

        return $places["$ofKind $isFromEnd"] ??= self::counted($element, $ofKind, $isFromEnd);
    }

    private static function counted(DOMElement $element, bool $ofKind, bool $isFromEnd): int
    {
        $place = 1;
        $other = $element;
        $step = 0;
        for (; $step < self::MOST && $other !== null; $step++) {
            $other = $isFromEnd ? $other->nextElementSibling : $other->previousElementSibling;
            $place += (int) ($other !== null && (! $ofKind || $other->localName === $element->localName));
        }
        PageSelector::looked(intdiv($step, 10));

        return $place;
    }

    private static function isEmpty(DOMElement $element): bool
    {
        foreach ($element->childNodes as $child) {
            if (
                $child instanceof DOMNode
                && in_array($child->nodeType, [XML_ELEMENT_NODE, XML_TEXT_NODE], true)
                && $child->textContent !== ''
            ) {
                return false;
            }
        }

        return $element->firstElementChild === null;
    }
}
