<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use Gnomic\Text\Pieces;
use SplObjectStorage;
use Symfony\Component\CssSelector\Node\Specificity;

/** The cascade of a page (CSS Cascading and Inheritance 5), for the elements that are asked after and those that they are in. */
final class PageStyles
{
    /** @var array<string, array<int, string>> by a name that an element needs: selectors that need it, by the place of their rule */
    private array $index = [];

    /** @var array<string, array<int, list<PageSelector>>> the same, read when they are first asked */
    private array $selectors = [];

    /** @var SplObjectStorage<DOMElement, Computed> */
    private SplObjectStorage $computed;

    /** @var array<int, true> places of rules that were asked and not understood, or whose condition is not sure */
    private array $doubtful = [];

    /**
     * @param  list<StyleRule>  $rules
     * @param  array<string, string>  $registered  custom properties: their value where nobody sets them
     * @param  array<string, bool>  $alone  those of them that children do not take over
     */
    private function __construct(
        private readonly array $rules,
        private readonly array $registered,
        private readonly array $alone,
        private readonly Viewport $viewport,
    ) {
        $this->computed = new SplObjectStorage;
        foreach ($rules as $place => $rule) {
            foreach (SelectorKeys::of($rule->selector) as $key => $selectors) {
                $this->index[$key][$place] = $selectors;
            }
        }
    }

    public static function of(SheetReader $reader, Viewport $viewport): self
    {
        return new self($reader->rules(), $reader->registered(), $reader->alone(), $viewport);
    }

    public function computed(DOMElement $element): Computed
    {
        // From the root down, however deep it stands.
        $open = [];
        for ($at = $element; $at instanceof DOMElement && ! $this->computed->contains($at); $at = $at->parentNode) {
            $open[] = $at;
        }
        foreach (array_reverse($open) as $one) {
            $parent = $one->parentNode instanceof DOMElement ? $this->computed[$one->parentNode] : null;
            $root = $parent === null ? null : $this->root($one);
            $computing = new Computing(
                $one,
                $parent,
                $root === null ? 16.0 : $root->size,
                $this->viewport,
                $this->registered,
                $this->alone,
            );
            $this->computed[$one] = $computing->of($this->cascaded($one, $parent));
        }

        return $this->computed[$element];
    }

    /** How many rules were asked that are not understood, or hold at widths that nobody knows before the page is laid out. */
    public function doubtful(): int
    {
        return count($this->doubtful);
    }

    private function root(DOMElement $element): ?Computed
    {
        $root = $element->ownerDocument?->documentElement;

        return $root !== null && $this->computed->contains($root) ? $this->computed[$root] : null;
    }

    /** What holds for an element. */
    private function cascaded(DOMElement $element, ?Computed $parent): Cascaded
    {
        $matched = [];
        $doubtful = [];
        foreach ($this->names($element) as $name) {
            foreach ($this->index[$name] ?? [] as $place => $selectors) {
                $read = $this->selectors[$name][$place] ??= PageSelector::all($selectors);
                [$specificity, $isSure] = $this->matched($this->rules[$place], $read, $element, $parent);
                if (! $isSure) {
                    $doubtful[$place] = true;
                    $this->doubtful[$place] = true;
                }
                if ($specificity !== null && (! isset($matched[$place]) || $specificity->compareTo($matched[$place]) > 0)) {
                    $matched[$place] = $specificity;
                }
            }
        }
        $places = array_keys($matched);
        $by = fn (int $way): callable => fn (int $one, int $two): int => [
            $way * strcmp($this->rules[$one]->layer, $this->rules[$two]->layer),
            $matched[$one]->compareTo($matched[$two]),
            $one,
        ] <=> [0, 0, $two];
        usort($places, $by(1));
        $own = Declaration::all($element->getAttribute('style'), 'style attribute', null);
        $groups = [...$this->groups($places, false), self::chosen($own, false)];
        // What is important in an earlier layer is stronger.
        usort($places, $by(-1));
        $unsure = array_merge([], ...array_map(
            fn (int $place): array => array_column($this->rules[$place]->declarations(), 'name'),
            array_keys($doubtful),
        ));

        return new Cascaded([...$groups, ...$this->groups($places, true), self::chosen($own, true)], array_values(array_unique($unsure)));
    }

    /**
     * @param  list<PageSelector>  $selectors  of the rule, those that may be of this element
     * @return array{Specificity|null, bool} null where a rule does not hold; and whether all of it was understood
     */
    private function matched(StyleRule $rule, array $selectors, DOMElement $element, ?Computed $parent): array
    {
        $best = null;
        $isWhole = true;
        $roots = $rule->context->scope === null ? [null] : $rule->context->scope->rootsFor($element);
        foreach ($roots === [] ? [] : $selectors as $selector) {
            if ($best !== null && $selector->isWhole && $selector->specificity->compareTo($best) <= 0) {
                continue;
            }
            foreach ($roots as $root) {
                if ($selector->matches($element, $root)) {
                    $isWhole = $isWhole && $selector->isWhole;
                    $best = $selector->isWhole ? $selector->specificity : $best;
                    break;
                }
            }
        }
        foreach ($best === null ? [] : $rule->context->containers as $condition) {
            $answer = Containers::answer($condition, $parent, $this->viewport);
            $isWhole = $isWhole && $answer->isSure;
            $best = $answer->holds ? $best : null;
        }

        return [$best, $isWhole];
    }

    /**
     * @param  list<int>  $places  of rules, in their order
     * @return list<list<Declaration>> layer by layer
     */
    private function groups(array $places, bool $areImportant): array
    {
        $groups = [];
        foreach ($places as $place) {
            $rule = $this->rules[$place];
            $groups[$rule->layer] = [...$groups[$rule->layer] ?? [], ...$rule->chosen($areImportant)];
        }

        return array_values($groups);
    }

    /**
     * @param  list<Declaration>  $declarations
     * @return list<Declaration>
     */
    private static function chosen(array $declarations, bool $areImportant): array
    {
        return array_values(array_filter($declarations, fn (Declaration $one): bool => $one->isImportant === $areImportant));
    }

    /** @return list<string> */
    private function names(DOMElement $element): array
    {
        $names = ['*', strtolower((string) $element->localName)];
        foreach (Pieces::of($element->getAttribute('class')) as $class) {
            $names[] = ".$class";
        }
        foreach ($element->attributes ?? [] as $attribute) {
            $names[] = '['.strtolower($attribute->nodeName);
        }
        if ($element->hasAttribute('id')) {
            $names[] = '#'.$element->getAttribute('id');
        }
        if (! $element->parentNode instanceof DOMElement) {
            $names[] = ':root';
        }

        return array_values(array_unique($names));
    }
}
