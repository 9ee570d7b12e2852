<?php

declare(strict_types=1);

use App\Editions\Refresh;
use App\Imports\BrokenOff;
use App\Rounds\DueRounds;
use App\Rounds\Removal;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn (DueRounds $due): int => $due->send())->name('rounds')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (Refresh $refresh): int => $refresh->daily())->name('new day')->hourly()->withoutOverlapping(10);
Schedule::call(fn (Removal $removal): int => $removal->forget())->name('removed sources')->hourly()->withoutOverlapping(10);
Schedule::call(fn (BrokenOff $imports): int => $imports->mend())->name('broken imports')->everyMinute()->withoutOverlapping(2);
