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
    /** What "has" calls the element that it is asked of. */
    public const ANCHOR = 'gnomic-anchor';

    /** What stands for a pseudo-class with brackets, with its number. */
    private const FUNCTION = 'gnomic-function-';

    /** Questions to elements until one selector is answered. */
    private const MOST_STEPS = 3_000;

    /** And until all of a page are: what is left then is not asked any more. */
    private const MOST_IN_ALL = 4_000_000;

    /** Functions in functions. */
    private const DEEP = 12;

    private static int $steps = 0;

    private static int $inAll = 0;

    private static int $depth = 0;

    private ?DOMElement $scope = null;

    private ?DOMElement $anchor = null;

    /**
     * @param  array<string, SelectorFunction>  $functions  by what stands for them in the tree
     * @param  bool  $isWhole  whether all of it was understood; else it may match more than it would
     * @param  bool  $looksAside  whether it begins at siblings of the element that "has" is asked of
     */
    private function __construct(
        private readonly NodeInterface $tree,
        private readonly array $functions,
        public readonly Specificity $specificity,
        public readonly bool $isWhole,
        public readonly bool $looksAside,
    ) {
    }

    /** @return list<self> of a list; those that are of no element are left out */
    public static function all(string $list): array
    {
        /** @var Parser|null $parser */
        static $parser = null;
        $parser ??= new Parser;
        $all = [];
        if (self::$depth >= self::DEEP) {
            return [];
        }
        self::$depth++;
        foreach (CssValues::listed(EscapedNames::hidden($list)) as $selector) {
            [$plain, $functions, $isWhole] = self::taken($selector);
            try {
                $parsed = $parser->parse($plain);
            } catch (ExceptionInterface) {
                continue;
            }
            foreach ($parsed as $one) {
                if ($one->getPseudoElement() === null) {
                    $specificity = $one->getSpecificity();
                    foreach ($functions as $function) {
                        // What stands for it was counted as a class.
                        $specificity = $specificity->plus($function->specificity)->plus(new Specificity(0, -1, 0));
                    }
                    $all[] = new self(
                        $one->getTree(),
                        $functions,
                        $specificity,
                        $isWhole,
                        preg_match('/^:'.self::ANCHOR.'\s*[+~]/', $plain) === 1,
                    );
                }
            }
        }
        self::$depth--;

        return $all;
    }

    /** @param  DOMElement|null  $scope  what ":scope" stands for; null: the root */
    public function matches(DOMElement $element, ?DOMElement $scope = null): bool
    {
        self::$steps = 0;
        $is = self::$inAll < self::MOST_IN_ALL && $this->holds($element, $scope);
        self::$inAll += self::$steps;

        return $is;
    }

    /**
     * The same as a part of another.
     *
     * @param  DOMElement|null  $anchor  that "has" is asked of
     */
    public function holds(DOMElement $element, ?DOMElement $scope, ?DOMElement $anchor = null): bool
    {
        [$before, $from] = [$this->scope, $this->anchor];
        [$this->scope, $this->anchor] = [$scope, $anchor];
        $is = $this->is($this->tree, $element);
        [$this->scope, $this->anchor] = [$before, $from];

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

    /**
     * What the parser does not know, by what it knows.
     *
     * @return array{string, array<string, SelectorFunction>, bool} the selector, what was taken out of it, and whether all of it is known
     */
    private static function taken(string $selector): array
    {
        $selector = (string) preg_replace('/(\[[^\]"\']*(?:"[^"]*"|\'[^\']*\')?)\s+[is]\]/i', '$1]', $selector);
        $functions = [];
        $isWhole = true;
        $from = 0;
        while (preg_match('/(?<!:):([\w-]+)\(/', $selector, $found, PREG_OFFSET_CAPTURE, $from) === 1) {
            [$name, $at] = [strtolower($found[1][0]), $found[0][1]];
            $open = $at + strlen($found[0][0]);
            $close = CssValues::closing($selector, $open);
            $argument = substr($selector, $open, $close - $open);
            $isOther = $name === 'lang' || (str_starts_with($name, 'nth-') && preg_match('/\sof\s/i', $argument) !== 1);
            if ($isOther) {
                $from = $open;

                continue;
            }
            $function = SelectorFunction::of($name, $argument);
            $put = '';
            if ($function === null) {
                $isWhole = false;
            } else {
                $key = self::FUNCTION.count($functions);
                $functions[$key] = $function;
                $put = ":$key";
            }
            $selector = substr($selector, 0, $at).$put.substr($selector, $close + 1);
            $from = $at + strlen($put);
        }

        return [$selector, $functions, $isWhole];
    }

    private function is(NodeInterface $node, DOMElement $element): bool
    {
        // Combinators may be tried in very many ways; what is not found soon, nobody wrote for this element.
        if (++self::$steps > self::MOST_STEPS) {
            return false;
        }

        return match (true) {
            $node instanceof Node\SelectorNode => $node->getPseudoElement() === null && $this->is($node->getTree(), $element),
            $node instanceof Node\ElementNode => $node->getElement() === null
                || strtolower($node->getElement()) === strtolower((string) $element->localName),
            $node instanceof Node\ClassNode => $this->is($node->getSelector(), $element)
                && in_array(EscapedNames::shown($node->getName()), Pieces::of($element->getAttribute('class')), true),
            $node instanceof Node\HashNode => $element->getAttribute('id') === EscapedNames::shown($node->getId())
                && $this->is($node->getSelector(), $element),
            $node instanceof Node\AttributeNode => $this->is($node->getSelector(), $element) && self::hasAttribute($node, $element),
            $node instanceof Node\PseudoNode => $this->is($node->getSelector(), $element)
                && $this->isState(strtolower($node->getIdentifier()), $element),
            $node instanceof Node\FunctionNode => $this->is($node->getSelector(), $element) && ElementStates::isCounted($node, $element),
            $node instanceof Node\CombinedSelectorNode => $this->is($node->getSubSelector(), $element)
                && $this->isCombined($node, $element),
            default => false,
        };
    }

    private function isState(string $name, DOMElement $element): bool
    {
        if (isset($this->functions[$name])) {
            return $this->functions[$name]->matches($element, $this->scope);
        }

        return match ($name) {
            self::ANCHOR => $this->anchor !== null && $element->isSameNode($this->anchor),
            'scope' => $this->scope === null ? ElementStates::is('root', $element) : $element->isSameNode($this->scope),
            default => ElementStates::is($name, $element),
        };
    }

    private function isCombined(Node\CombinedSelectorNode $node, DOMElement $element): bool
    {
        $of = $node->getSelector();
        $combinator = trim($node->getCombinator());
        $isSibling = $combinator === '+' || $combinator === '~';
        $other = $isSibling ? $element->previousElementSibling : $element->parentNode;
        while ($other instanceof DOMElement) {
            if ($this->is($of, $other)) {
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
        $wanted = EscapedNames::shown((string) $node->getValue());

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
