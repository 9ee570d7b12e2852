<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** A piece of the sentence: words that stand fixed, a phrase that can be changed, or an offer to say more. */
final readonly class Phrase
{
    /**
     * @param  string|null  $key  of the topic whose controls change it; null for fixed words
     * @param  string|null  $stage  gather, sift, shape, dress, place or tend
     * @param  bool  $isOffer  whether it is no part of what the sentence says: a way to what is not asked yet
     */
    public function __construct(
        public string $text,
        public ?string $key = null,
        public ?string $stage = null,
        public bool $isOffer = false,
    ) {
    }

    /** @param  list<self>  $phrases */
    public static function text(array $phrases): string
    {
        return implode('', array_map(fn (self $phrase): string => $phrase->isOffer ? '' : $phrase->text, $phrases));
    }
}
