<?php

declare(strict_types=1);

use App\Editions\NewDay;
use App\Imports\BrokenOff;
use App\Outbox\Outbox;
use App\Rounds\DueRounds;
use App\Sources\Removal;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn (DueRounds $due): int => $due->send())->name('rounds')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (Outbox $outbox): int => $outbox->sweep())->name('outbox')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (NewDay $day): int => $day->turn())->name('new day')->everyMinute()->withoutOverlapping(2);
Schedule::call(fn (Removal $removal): int => $removal->forget())->name('removed sources')->hourly()->withoutOverlapping(10);
Schedule::call(fn (BrokenOff $imports): int => $imports->mend())->name('broken imports')->everyMinute()->withoutOverlapping(2);
