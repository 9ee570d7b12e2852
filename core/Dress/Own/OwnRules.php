<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** Own rules as they go out, and what became of those that do not. */
final readonly class OwnRules
{
    /**
     * @param  string  $css  safe to be put into the widget
     * @param  list<OwnProblem>  $problems  in the order of their lines
     * @param  list<OwnColour>  $colours  of words
     */
    public function __construct(public string $css, public array $problems, public array $colours)
    {
    }
}
