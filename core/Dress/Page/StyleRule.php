<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/** A rule of a page's style sheets, of those that hold at the width and in the scheme that are looked at. */
final class StyleRule
{
    /** @var list<Declaration>|null */
    private ?array $declarations = null;

    /** @var array<int, list<Declaration>> by whether they are important */
    private array $chosen = [];

    /**
     * @param  string  $selector  a list of them
     * @param  string  $block  what stands in its braces
     * @param  string  $layer  sorts cascade layers in their order; those in none come last
     * @param  int  $line  of the selector
     */
    public function __construct(
        public readonly string $selector,
        private readonly string $block,
        public readonly string $layer,
        public readonly RuleContext $context,
        public readonly int $line,
    ) {
    }

    /** @return list<Declaration> those that are important, or those that are not */
    public function chosen(bool $areImportant): array
    {
        return $this->chosen[(int) $areImportant] ??= array_values(array_filter(
            $this->declarations(),
            fn (Declaration $one): bool => $one->isImportant === $areImportant,
        ));
    }

    /** @return list<Declaration> */
    public function declarations(): array
    {
        return $this->declarations ??= Declaration::all($this->block, $this->context->sheet, $this->line, $this->context->address);
    }
}
