<?php

declare(strict_types=1);

use App\Editions\Refresh;
use App\Rounds\DueRounds;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn (DueRounds $due): int => $due->send())->name('rounds')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (Refresh $refresh): int => $refresh->shuffled())->name('shuffles')->hourly()->withoutOverlapping(10);
