<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** What a layout is made for: by it, owners find theirs. */
enum Purpose: string
{
    case Reading = 'reading';
    case Pictures = 'pictures';
    case SmallPlace = 'small';
    case Figure = 'figure';
    case OverThePage = 'over';
}
