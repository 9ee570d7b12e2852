<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** A piece of the sentence: words that stand fixed, or a phrase that can be changed. */
final readonly class Phrase
{
    /**
     * @param  string|null  $key  which part of the brief it speaks of: order, sources, stars, hand, layout, head, dress, place, cadence; null for fixed words
     * @param  string|null  $stage  gather, sift, shape, dress, place or tend
     */
    public function __construct(public string $text, public ?string $key = null, public ?string $stage = null)
    {
    }
}
