<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Renders all that is out of a site again, in the background. */
final class RefreshSite implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $uniqueFor = 300;

    public function __construct(private readonly int $siteId, private readonly string $cause)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->siteId;
    }

    public function handle(Refresh $refresh): void
    {
        $site = Site::query()->find($this->siteId);
        if ($site !== null) {
            $refresh->site($site, $this->cause);
        }
    }
}
