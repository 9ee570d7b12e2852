<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** The rows of a byline, from above; the face stands beside them. */
enum Row
{
    case Face;
    case Name;
    case Of;
    case Said;
}
