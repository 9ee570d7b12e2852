<?php

declare(strict_types=1);

namespace App\Models;

/** Whether a picture is still to be fetched, is kept, or will not come. */
enum PictureState: string
{
    case Waiting = 'waiting';
    case Kept = 'kept';
    case Lost = 'lost';
}
