<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** What a part of the sentence speaks of, and what its controls change. Several clauses may share one. */
final readonly class Topic
{
    /**
     * @param  string  $stage  gather or sift
     * @param  string  $name  of the controls: "Stars and words"
     * @param  string  $about  what can be asked there, for who looks for it
     */
    public function __construct(public string $key, public string $stage, public string $name, public string $about)
    {
    }

    public static function sources(): self
    {
        return new self('sources', 'gather', 'Sources, channels and subjects', 'from some sources only, or about some subjects');
    }

    public static function order(): self
    {
        return new self('order', 'sift', 'How many, of what, in which order', 'how many, newest or best first, reviews or posts');
    }

    public static function most(): self
    {
        return new self('most', 'sift', 'Limit per author or source', 'no more than a few from the same author or source');
    }

    public static function hand(): self
    {
        return new self('hand', 'sift', 'Pinned and hidden by hand', 'entries that always come first, or never');
    }
}
