<?php

declare(strict_types=1);

namespace Gnomic\Brief;

enum Layout: string
{
    case List = 'list';
    case Carousel = 'carousel';
}
