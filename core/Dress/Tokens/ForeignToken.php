<?php

declare(strict_types=1);

namespace Gnomic\Dress\Tokens;

use Gnomic\Text\Pieces;

/** A design token of somebody's file that a look can have something from. */
final readonly class ForeignToken
{
    /**
     * @param  string  $name  the groups that it is in and its own, with points between them; of a part of a composite, with that behind
     * @param  'colour'|'length'|'number'|'weight'|'family'|'shadow'  $kind
     * @param  string|float  $value  "#rrggbbaa", CSS pixels, a number, a weight, families as CSS writes them, blur in pixels
     * @param  string|null  $mode  "light" or "dark", where it is of one of them alone
     */
    public function __construct(public string $name, public string $kind, public string|float $value, public ?string $mode)
    {
    }

    /** @return list<string> words of its name, in small letters */
    public function words(): array
    {
        $parted = (string) preg_replace('/(?<=\p{Ll})(?=\p{Lu})/u', ' ', $this->name);

        return Pieces::of(mb_strtolower($parted), '/[^\p{L}\p{N}]+/u');
    }
}
