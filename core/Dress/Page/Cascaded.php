<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/** What style sheets say of an element. */
final readonly class Cascaded
{
    /**
     * @param  list<list<Declaration>>  $groups  layer by layer, the weakest first
     * @param  list<string>  $unsure  properties that rules set which were not understood
     */
    public function __construct(public array $groups, public array $unsure)
    {
    }
}
