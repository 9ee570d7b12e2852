<?php

declare(strict_types=1);

use App\Bench\Grounds\Grounds;
use App\Editions\NewDay;
use App\Editions\Pointers;
use App\Host\ClockJumps;
use App\Outbox\Outbox;
use App\Pictures\FetchPictures;
use App\Pictures\PictureLook;
use App\Placing\Counting\CountBeacons;
use App\Placing\Forms;
use App\Placing\Pages\CheckDuePages;
use App\Placing\SiteScript;
use App\Sources\Imports\BrokenOff;
use App\Sources\Removal;
use App\Sources\Rounds\DueRounds;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn (DueRounds $due): int => $due->send())->name('rounds')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (Outbox $outbox): int => $outbox->sweep())->name('outbox')->everyTenSeconds()->withoutOverlapping(1);
Schedule::call(fn (Pointers $pointers): int => $pointers->mend())->name('pointers')->everyMinute()->withoutOverlapping(2);
Schedule::call(fn (Pointers $pointers): int => $pointers->mend(thoroughly: true))->name('editions')->daily()->withoutOverlapping(30);
Schedule::call(fn (PictureLook $look): int => $look->mend())->name('pictures whole')->everyMinute()->withoutOverlapping(2);
Schedule::call(fn (PictureLook $look): int => $look->mend(thoroughly: true))->name('pictures read')
    ->dailyAt('3:10')->withoutOverlapping(60);
Schedule::call(fn (): int => FetchPictures::sweep())->name('pictures')->everyMinute()->withoutOverlapping(2);
// Without a lock of its own: it is what frees locks that a clock has left.
Schedule::call(fn (ClockJumps $jumps): int => $jumps->mend())->name('clock')->everyMinute();
Schedule::call(fn (NewDay $day): int => $day->turn())->name('new day')->everyMinute()->withoutOverlapping(2);
Schedule::call(fn (Removal $removal): int => $removal->forget())->name('removed sources')->hourly()->withoutOverlapping(10);
Schedule::call(fn (Grounds $grounds): int => $grounds->refresh())->name('pages to proof on')->hourly()->withoutOverlapping(30);
Schedule::call(fn (BrokenOff $imports): int => $imports->mend())->name('broken imports')->everyTenSeconds()->withoutOverlapping(1);
// Without a lock that a clock ends: it has one of the host's.
Schedule::call(fn (CountBeacons $count): int => $count->run())->name('counts')->everyMinute();
// Subjects come by tables and by sources, too.
Schedule::call(fn (Forms $forms) => $forms->sweep())->name('forms of widgets')->hourly()->withoutOverlapping(30);
Schedule::call(fn (SiteScript $scripts): int => $scripts->mend())->name('scripts of sites')->everyMinute()->withoutOverlapping(2);
Schedule::call(fn (SiteScript $scripts): int => $scripts->mend(thoroughly: true))->name('scripts read')->hourly()->withoutOverlapping(10);
Schedule::call(fn (): int => CheckDuePages::sweep())->name('spots')->everyTenMinutes()->withoutOverlapping(10);
