<?php

declare(strict_types=1);

namespace App\Models;

/** What became of a round: Held is a loss so sudden that the owner is asked about it. */
enum RoundOutcome: string
{
    case Running = 'running';
    case Changed = 'changed';
    case Unchanged = 'unchanged';
    case Held = 'held';
    case Failed = 'failed';
}
