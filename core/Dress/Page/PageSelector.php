<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use Gnomic\Dress\Css\CssValues;
use Gnomic\Text\Pieces;
use Symfony\Component\CssSelector\Exception\ExceptionInterface;
use Symfony\Component\CssSelector\Node;
use Symfony\Component\CssSelector\Node\NodeInterface;
use Symfony\Component\CssSelector\Node\Specificity;
use Symfony\Component\CssSelector\Parser\Parser;

/**
 * A selector of a page's style sheet, read by Symfony's parser and asked of single elements at rest: nobody points at them, none has the
 * focus. (A page has many rules and few elements that matter; asking by XPath would be asking the whole page for every rule.)
 */
final class PageSelector
{
    /** Questions to elements until one selector is answered. */
    private const MOST_STEPS = 3_000;

    /** And until all of a page are: what is left then is not asked any more. */
    private const MOST_IN_ALL = 4_000_000;

    private static int $steps = 0;

    private static int $inAll = 0;

    private function __construct(
        private readonly NodeInterface $tree,
        public readonly Specificity $specificity,
        public readonly string $key,
    ) {
    }

    /** @return list<self> of a list; those that are of no element, or of a kind that is not known, are left out */
    public static function all(string $list): array
    {
        /** @var Parser|null $parser */
        static $parser = null;
        $parser ??= new Parser;
        $all = [];
        foreach (CssValues::listed($list) as $selector) {
            try {
                $parsed = $parser->parse(self::known($selector));
            } catch (ExceptionInterface) {
                continue;
            }
            foreach ($parsed as $one) {
                if ($one->getPseudoElement() === null) {
                    $all[] = new self($one->getTree(), $one->getSpecificity(), self::keyOf($one->getTree()));
                }
            }
        }

        return $all;
    }

    public function matches(DOMElement $element): bool
    {
        self::$steps = 0;
        $is = self::$inAll < self::MOST_IN_ALL && self::is($this->tree, $element);
        self::$inAll += self::$steps;

        return $is;
    }

    /** A page has all its questions before it. */
    public static function begin(): void
    {
        self::$inAll = 0;
    }

    /** Counts what else was looked at to answer. */
    public static function looked(int $elements): void
    {
        self::$inAll += $elements;
    }

    /** What the parser does not know, by what it knows. */
    private static function known(string $selector): string
    {
        $selector = (string) preg_replace('/(\[[^\]"\']*(?:"[^"]*"|\'[^\']*\')?)\s+[is]\]/i', '$1]', $selector);
        $selector = (string) preg_replace('/:(?:-webkit-|-moz-)any\(/', ':is(', $selector);

        // "not" of several is "not" of each.
        return (string) preg_replace_callback('/:not\((?=[^()]*[,\s>+~][^()]*\))([^()]*)\)/', self::each(...), $selector);
    }

    /** @param  array<string>  $not  matched, and what stands in its brackets */
    private static function each(array $not): string
    {
        $simple = array_filter(CssValues::listed($not[1] ?? ''), fn (string $one): bool => preg_match('/[\s>+~]/', $one) !== 1);

        return implode('', array_map(fn (string $one): string => ":not($one)", $simple));
    }

    /** The name by which an element that it may match is found: "#id", ".class", "div" or "*". */
    private static function keyOf(NodeInterface $node): string
    {
        return match (true) {
            $node instanceof Node\CombinedSelectorNode => self::keyOf($node->getSubSelector()),
            $node instanceof Node\HashNode => '#'.$node->getId(),
            $node instanceof Node\ClassNode => '.'.$node->getName(),
            $node instanceof Node\ElementNode => strtolower($node->getElement() ?? '*'),
            $node instanceof Node\SelectorNode => self::keyOf($node->getTree()),
            $node instanceof Node\AttributeNode, $node instanceof Node\PseudoNode, $node instanceof Node\FunctionNode,
            $node instanceof Node\NegationNode, => self::keyOf($node->getSelector()),
            $node instanceof Node\MatchingNode, $node instanceof Node\SpecificityAdjustmentNode => self::keyOf($node->selector),
            default => '*',
        };
    }

    private static function is(NodeInterface $node, DOMElement $element): bool
    {
        // Combinators may be tried in very many ways; what is not found soon, nobody wrote for this element.
        if (++self::$steps > self::MOST_STEPS) {
            return false;
        }

        return match (true) {
            $node instanceof Node\SelectorNode => $node->getPseudoElement() === null && self::is($node->getTree(), $element),
            $node instanceof Node\ElementNode => $node->getElement() === null
                || strtolower($node->getElement()) === strtolower((string) $element->localName),
            $node instanceof Node\ClassNode => self::is($node->getSelector(), $element)
                && in_array($node->getName(), Pieces::of($element->getAttribute('class')), true),
            $node instanceof Node\HashNode => $element->getAttribute('id') === $node->getId() && self::is($node->getSelector(), $element),
            $node instanceof Node\AttributeNode => self::is($node->getSelector(), $element) && self::hasAttribute($node, $element),
            $node instanceof Node\PseudoNode => self::is($node->getSelector(), $element)
                && ElementStates::is(strtolower($node->getIdentifier()), $element),
            $node instanceof Node\FunctionNode => self::is($node->getSelector(), $element) && ElementStates::isCounted($node, $element),
            $node instanceof Node\NegationNode => self::is(
                $node->getSelector(),
                $element,
            ) && ! self::is($node->getSubSelector(), $element),
            $node instanceof Node\MatchingNode, $node instanceof Node\SpecificityAdjustmentNode => self::is($node->selector, $element)
                && array_filter($node->arguments, fn (NodeInterface $one): bool => self::is($one, $element)) !== [],
            $node instanceof Node\CombinedSelectorNode => self::is($node->getSubSelector(), $element)
                && self::isCombined($node, $element),
            default => false,
        };
    }

    private static function isCombined(Node\CombinedSelectorNode $node, DOMElement $element): bool
    {
        $of = $node->getSelector();
        $combinator = trim($node->getCombinator());
        $isSibling = $combinator === '+' || $combinator === '~';
        $other = $isSibling ? $element->previousElementSibling : $element->parentNode;
        while ($other instanceof DOMElement) {
            if (self::is($of, $other)) {
                return true;
            }
            if ($combinator === '>' || $combinator === '+') {
                return false;
            }
            $other = $isSibling ? $other->previousElementSibling : $other->parentNode;
        }

        return false;
    }

    private static function hasAttribute(Node\AttributeNode $node, DOMElement $element): bool
    {
        if (! $element->hasAttribute($node->getAttribute())) {
            return false;
        }
        $is = $element->getAttribute($node->getAttribute());
        $wanted = (string) $node->getValue();

        return match ($node->getOperator()) {
            'exists' => true,
            '=' => $is === $wanted,
            '!=' => $is !== $wanted,
            '~=' => in_array($wanted, Pieces::of($is), true),
            '|=' => $is === $wanted || str_starts_with($is, "$wanted-"),
            '^=' => $wanted !== '' && str_starts_with($is, $wanted),
            '$=' => $wanted !== '' && str_ends_with($is, $wanted),
            '*=' => $wanted !== '' && str_contains($is, $wanted),
            default => false,
        };
    }
}
