<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use App\Outbox\Outbox;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Turns the day where it is midnight: for widgets that go by the day. */
final readonly class NewDay
{
    public function __construct(private Outbox $outbox)
    {
    }

    /** @return int sites where a day has begun since this was last asked */
    public function turn(): int
    {
        $turned = 0;
        foreach (Site::query()->lazyById(200) as $site) {
            $today = CarbonImmutable::now($site->timezone)->format('Y-m-d');
            if ($site->turned_on === $today) {
                continue;
            }
            DB::transaction(function () use ($site, $today): void {
                $isFirst = $site->turned_on === null;
                $site->update(['turned_on' => $today]);
                if (! $isFirst) {
                    $this->outbox->day($site);
                }
            });
            $turned++;
        }

        return $turned;
    }
}
