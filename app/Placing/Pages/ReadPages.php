<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Fetching\FetchFailed;
use App\Host\HostLocks;
use App\Models\Site;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Finds the pages of a site in the background: that takes as long as the website does. How far it is stands at the site. */
final class ReadPages implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 200;

    public bool $failOnTimeout = true;

    public function __construct(private readonly int $siteId)
    {
        $this->onQueue('imports');
    }

    public static function begin(Site $site): void
    {
        $site->update([
            'pages_read' => ['state' => 'reading', 'found' => 0, 'added' => 0, 'sitemaps' => 0, 'problems' => [], 'reason' => null],
            'pages_read_at' => now(),
        ]);
        dispatch(new self($site->id));
    }

    public function handle(FindPages $find, HostLocks $locks): void
    {
        $site = Site::query()->findOrFail($this->siteId);
        $lock = $locks->attempt("pages-$site->id");
        if ($lock === null) {
            return;
        }
        try {
            $read = $find->of($site, function (int $found) use ($site): void {
                $site->update(['pages_read' => ['found' => $found] + ($site->pages_read ?? [])]);
            });
            $site->update(['pages_read' => ['state' => 'done', 'reason' => null] + $read, 'pages_read_at' => now()]);
        } catch (FetchFailed $failed) {
            $this->tell($site, $failed->getMessage());
        } finally {
            $lock->release();
        }
    }

    public function failed(?Throwable $fault): void
    {
        $site = Site::query()->find($this->siteId);
        if ($site instanceof Site) {
            $this->tell($site, 'Reading the pages failed or took too long. The details are in Gnomic’s log. Try again.');
        }
    }

    private function tell(Site $site, string $reason): void
    {
        $site->update(['pages_read' => ['state' => 'failed', 'reason' => $reason] + (
            $site->pages_read ?? ['found' => 0, 'added' => 0, 'sitemaps' => 0, 'problems' => []]
        )]);
    }
}
