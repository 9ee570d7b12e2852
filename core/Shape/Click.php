<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** What a click on an entry does. */
enum Click: string
{
    case Source = 'source';
    case Enlarge = 'enlarge';
    case Address = 'address';
    case Nothing = 'nothing';
}
