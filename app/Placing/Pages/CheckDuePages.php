<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Host\HostLocks;
use App\Models\Finding;
use App\Models\Page;
use App\Models\Site;
use Gnomic\Place\Pattern\PathPattern;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Checks the pages of a site that were not looked at for a day: those that widgets should be on. In the background, some at a time. */
final class CheckDuePages implements ShouldQueue
{
    use Queueable;

    /** Pages of a site that are looked at each day. */
    private const MOST_A_DAY = 300;

    private const AT_ONCE = 20;

    private const SECONDS = 120;

    public int $tries = 1;

    public int $timeout = 230;

    /** @param  bool  $now  whether also those that were looked at today */
    public function __construct(private readonly int $siteId, private readonly bool $now = false)
    {
        $this->onQueue('imports');
    }

    /** Sends a worker to every site that has pages to look at. @return int how many */
    public static function sweep(): int
    {
        $sent = 0;
        foreach (Site::query()->lazyById(200) as $site) {
            if ($site instanceof Site && (
                $site->spots()->exists() || $site->pages()->whereNotNull('widgets')->exists()
            ) && self::due($site, false) !== []) {
                dispatch(new self($site->id));
                $sent++;
            }
        }

        return $sent;
    }

    public function handle(CheckPage $check, SiteRobots $robots, HostLocks $locks): void
    {
        $site = Site::query()->findOrFail($this->siteId);
        $lock = $locks->attempt("check-pages-$site->id");
        if ($lock === null) {
            return;
        }
        try {
            $rules = $robots->at($site->front());
            $deadline = microtime(true) + self::SECONDS;
            foreach (array_slice(self::due($site, $this->now), 0, $this->now ? self::MOST_A_DAY : self::AT_ONCE) as $page) {
                if (microtime(true) > $deadline) {
                    break;
                }
                if (SiteRobots::lets($rules, $page->address)) {
                    $check->check($page);
                } else {
                    $page->update(['checked_at' => now(), 'failure' => 'The site’s robots.txt asks programs not to read it.']);
                }
            }
        } finally {
            $lock->release();
        }
    }

    /** @return list<Page> that widgets should be on, those first that were looked at the longest ago */
    private static function due(Site $site, bool $now): array
    {
        $patterns = [];
        foreach ($site->spots()->get() as $record) {
            array_push($patterns, ...$record->toCore()->pages);
        }
        $exact = array_values(array_map(
            fn (PathPattern $pattern): string => is_string($pattern->compiled()) ? $pattern->compiled() : '',
            array_filter($patterns, fn (PathPattern $pattern): bool => $pattern->isOnePage()),
        ));
        $query = $site->pages();
        $query->where(fn ($any) => $any->whereIn('path', $exact)->orWhereIn(
            'id',
            Finding::query()->where('site_id', $site->id)->select('page_id'),
        )->orWhereIn('id', self::fitting($site, $patterns)));
        if (! $now) {
            $query->where(fn ($any) => $any->whereNull('checked_at')->orWhere('checked_at', '<', now()->subDay()));
        }
        $query->orderByRaw('checked_at is not null')->orderBy('checked_at')->limit(self::MOST_A_DAY);

        return array_values($query->get()->all());
    }

    /**
     * Some of the pages that fit patterns: one template makes them all, and what is wrong with one is wrong with the others.
     *
     * @param  list<PathPattern>  $patterns
     * @return list<int>
     */
    private static function fitting(Site $site, array $patterns): array
    {
        $fitting = [];
        foreach ($patterns as $pattern) {
            $compiled = $pattern->compiled();
            $prefix = is_string($compiled) ? null : $compiled[0];
            if ($prefix === null) {
                continue;
            }
            $query = $site->pages();
            $query->where('path', '>=', $prefix)->where('path', '<', $prefix."\u{10FFFF}")->orderBy('path')->limit(500);
            $found = array_filter(
                $query->get(['id', 'path'])->all(),
                fn (Page $page): bool => $pattern->matches((string) preg_replace('/\?.*$/', '', $page->path)),
            );
            array_push($fitting, ...array_map(fn (Page $page): int => $page->id, array_slice(array_values($found), 0, 10)));
        }

        return $fitting;
    }
}
