<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/** What a rule stands in: a sheet, a layer, a scope, containers that have to be of a size, and the rule that it is nested in. */
final readonly class RuleContext
{
    /**
     * @param  string  $sheet  its name, for people
     * @param  string  $address  against which what it names is found
     * @param  string  $layer  what sorts its rules
     * @param  list<string>  $containers  conditions of "@container", all of which must hold
     * @param  string|null  $parent  selector of the rule that it is nested in
     */
    private function __construct(
        public string $sheet,
        public string $address,
        public string $layer,
        public ?RuleScope $scope = null,
        public array $containers = [],
        public ?string $parent = null,
    ) {
    }

    public static function sheet(string $name, string $address, string $layer): self
    {
        return new self($name, $address, $layer);
    }

    public function inLayer(string $layer): self
    {
        return new self($this->sheet, $this->address, $layer, $this->scope, $this->containers, $this->parent);
    }

    /** @param  string  $prelude  as RuleScope::of() */
    public function inScope(string $prelude): self
    {
        $scope = RuleScope::of($prelude, $this->scope);

        return new self($this->sheet, $this->address, $this->layer, $scope, $this->containers, null);
    }

    public function inContainer(string $condition): self
    {
        $containers = [...$this->containers, $condition];

        return new self($this->sheet, $this->address, $this->layer, $this->scope, $containers, $this->parent);
    }

    public function inRule(string $selector): self
    {
        return new self($this->sheet, $this->address, $this->layer, $this->scope, $this->containers, $selector);
    }
}
