<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/** What sort of thing somebody said. */
enum Kind: string
{
    /** An opinion left at an outside service, usually rated. */
    case Review = 'review';
    /** An opinion given to the owner directly. */
    case Testimonial = 'testimonial';
    /** Something published on an account, a board or a feed. */
    case Post = 'post';

    /** "review" or "reviews". */
    public function noun(int $count): string
    {
        return $this->value.($count === 1 ? '' : 's');
    }
}
