<?php

declare(strict_types=1);

namespace App\Models;

/** How far a table is: looked at, in need of an answer, ready to be imported, imported. */
enum ImportState: string
{
    case Looking = 'looking';
    case Asking = 'asking';
    case Ready = 'ready';
    case Importing = 'importing';
    case Done = 'done';
    case Failed = 'failed';
}
