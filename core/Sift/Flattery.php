<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/**
 * By what a choice may look otherwise than all there is: anything but time, source, subject, kind and language. A catalogue has words
 * for each.
 */
enum Flattery: string
{
    case Stars = 'stars';
    case WithWords = 'withWords';
    case ByWords = 'byWords';
    case ByTags = 'byTags';
    case WithPictures = 'withPictures';
    case WithReply = 'withReply';

    /** The first of an order that is not of time. */
    case ByOrder = 'byOrder';

    case OfEachAuthor = 'ofEachAuthor';

    /** Without what another widget shows. */
    case Apart = 'apart';

    /** Pinned, hidden or held by the owner. */
    case ByHand = 'byHand';
}
