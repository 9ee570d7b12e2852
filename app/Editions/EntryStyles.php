<?php

declare(strict_types=1);

namespace App\Editions;

/** Rules of entries, those that stand in a widget and those that come into it later: which custom properties they set and ask for. */
final readonly class EntryStyles
{
    /** @var array<string, int> by name */
    public array $sets;

    /** @var list<array{string, string|null}> as StyleReferences::in() has it */
    public array $asks;

    /** @var array<string, true> all that they ask for, and what they would ask for without it */
    public array $names;

    public function __construct(string $css)
    {
        preg_match_all('/[{;]--([\w-]+):/', $css, $found);
        $this->sets = array_flip($found[1]);
        preg_match_all('/var\(--([\w-]+)/', $css, $found);
        $this->names = array_fill_keys($found[1], true);
        $asks = [];
        foreach (StyleReferences::in($css) as [$name, $usual]) {
            $asks["$name,$usual"] = [$name, $usual];
        }
        $this->asks = array_values($asks);
    }

    /** The same for what sets and asks for the same. */
    public function state(): string
    {
        $asks = array_map(fn (array $ask): string => "$ask[0],$ask[1]", $this->asks);

        return implode(',', array_keys($this->sets)).';'.implode(';', $asks);
    }
}
