<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use Gnomic\Text\Pieces;
use SplObjectStorage;

/** The cascade of a page (CSS Cascading and Inheritance 5), for the elements that are asked after and those that they are in. */
final class PageStyles
{
    /** @var array<string, list<array{int, PageSelector}>> by the name that an element needs */
    private array $index = [];

    /** @var SplObjectStorage<DOMElement, Computed> */
    private SplObjectStorage $computed;

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
            foreach (PageSelector::all($rule->selector) as $selector) {
                $this->index[$selector->key][] = [$place, $selector];
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
            $this->computed[$one] = $computing->of($this->cascaded($one));
        }

        return $this->computed[$element];
    }

    private function root(DOMElement $element): ?Computed
    {
        $root = $element->ownerDocument?->documentElement;

        return $root !== null && $this->computed->contains($root) ? $this->computed[$root] : null;
    }

    /** @return list<Declaration> those that hold for an element, the weakest first */
    private function cascaded(DOMElement $element): array
    {
        $matched = [];
        foreach ($this->names($element) as $name) {
            foreach ($this->index[$name] ?? [] as [$place, $selector]) {
                $is = $matched[$place] ?? null;
                if (($is === null || $selector->specificity->compareTo($is) > 0) && $selector->matches($element)) {
                    $matched[$place] = $selector->specificity;
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
        $normal = $important = [];
        foreach ($places as $place) {
            foreach ($this->rules[$place]->declarations() as $declaration) {
                if (! $declaration->isImportant) {
                    $normal[] = $declaration;
                }
            }
        }
        $own = Declaration::all($element->getAttribute('style'), 'style attribute', null);
        // What is important in an earlier layer is stronger.
        usort($places, $by(-1));
        foreach ($places as $place) {
            foreach ($this->rules[$place]->declarations() as $declaration) {
                if ($declaration->isImportant) {
                    $important[] = $declaration;
                }
            }
        }
        $isImportant = fn (Declaration $one): bool => $one->isImportant;

        return [
            ...$normal,
            ...array_filter($own, fn (Declaration $one): bool => ! $one->isImportant),
            ...$important,
            ...array_filter($own, $isImportant),
        ];
    }

    /** @return list<string> */
    private function names(DOMElement $element): array
    {
        $names = ['*', strtolower((string) $element->localName)];
        foreach (Pieces::of($element->getAttribute('class')) as $class) {
            $names[] = ".$class";
        }
        if ($element->hasAttribute('id')) {
            $names[] = '#'.$element->getAttribute('id');
        }

        return array_values(array_unique($names));
    }
}
