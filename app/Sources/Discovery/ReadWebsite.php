<?php

declare(strict_types=1);

namespace App\Sources\Discovery;

use App\Fetching\FetchFailed;
use App\Host\HostLocks;
use App\Host\WorkerDied;
use App\Models\Site;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Json\Value;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Str;
use Throwable;

/**
 * Reads a website in the background: that takes as long as the website does, and nobody else waits for it.
 *
 * @phpstan-type About array{
 *     state: string, reason: string|null, found: array<string, mixed>|null, address: string, tries: int, sentAt: int
 * }
 */
final class ReadWebsite implements ShouldQueue
{
    use Queueable;

    /** Seconds for which what was found is kept. */
    private const KEPT = 3600;

    /** Seconds after which one that nobody works at is sent again: its worker may have died with it. */
    private const LOST = 30;

    private const MOST_TRIES = 3;

    private const WENT_WRONG = 'Reading it failed or took too long. The details are in Gnomic\'s log. '
        .'Try again, or add its sources by their addresses.';

    public int $tries = 1;

    public int $timeout = 150;

    public bool $failOnTimeout = true;

    private function __construct(private readonly int $siteId, private readonly string $token, private readonly string $address)
    {
        $this->onQueue('imports');
    }

    /** @return string by which what was found is asked for */
    public static function begin(Site $site, string $address, Repository $kept): string
    {
        $token = Str::lower(Str::random(20));
        self::send($site->id, $token, $address, 1, $kept);

        return $token;
    }

    /**
     * What is known of it so far. Whoever waits for it sends it again, where its worker was killed.
     *
     * @return array{state: string, reason: string|null, found: array<string, mixed>|null}|null null where nobody asked, or long ago
     */
    public static function found(Site $site, string $token, Repository $kept, HostLocks $locks): ?array
    {
        $about = self::about($site->id, $token, $kept);
        $isLost = $about !== null && $about['state'] === 'reading' && abs(now()->getTimestamp() - $about['sentAt']) > self::LOST
            && ! $locks->isHeld(self::key($site->id, $token));
        if ($isLost && $about['tries'] < self::MOST_TRIES) {
            self::send($site->id, $token, $about['address'], $about['tries'] + 1, $kept);
        } elseif ($isLost) {
            $about = ['state' => 'failed', 'reason' => self::WENT_WRONG] + $about;
        }

        return $about === null ? null : array_intersect_key($about, ['state' => true, 'reason' => true, 'found' => true]);
    }

    public function handle(Discover $discover, Repository $kept, HostLocks $locks): void
    {
        $site = Site::query()->findOrFail($this->siteId);
        $lock = $locks->attempt(self::key($site->id, $this->token));
        if ($lock === null || (self::about($site->id, $this->token, $kept)['state'] ?? null) !== 'reading') {
            return;
        }
        try {
            $this->keep($kept, 'done', null, Value::members($discover->at($site, $this->address)));
        } catch (FetchFailed|PayloadIsUnreadable $failed) {
            $this->keep($kept, 'failed', $failed->getMessage(), null);
        }
        $lock->release();
    }

    public function failed(?Throwable $fault): void
    {
        if (! WorkerDied::caused($fault)) {
            $this->keep(app(Repository::class), 'failed', self::WENT_WRONG, null);
        }
    }

    private static function send(int $siteId, string $token, string $address, int $tries, Repository $kept): void
    {
        $about = ['address' => $address, 'tries' => $tries, 'sentAt' => now()->getTimestamp()];
        $kept->put(self::key($siteId, $token), ['state' => 'reading', 'reason' => null, 'found' => null] + $about, self::KEPT);
        dispatch(new self($siteId, $token, $address));
    }

    /** @return About|null */
    private static function about(int $siteId, string $token, Repository $kept): ?array
    {
        /** @var About|null $about */
        $about = $kept->get(self::key($siteId, $token));

        return $about;
    }

    /** @param  array<string, mixed>|null  $found */
    private function keep(Repository $kept, string $state, ?string $reason, ?array $found): void
    {
        $about = self::about($this->siteId, $this->token, $kept) ?? [];
        $kept->put(
            self::key($this->siteId, $this->token),
            ['state' => $state, 'reason' => $reason, 'found' => $found] + $about,
            self::KEPT,
        );
    }

    private static function key(int $siteId, string $token): string
    {
        return "website-$siteId-$token";
    }
}
