<?php

declare(strict_types=1);

namespace App\Discovery;

use App\Fetching\FetchFailed;
use App\Models\Site;
use Gnomic\Gather\PayloadIsUnreadable;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Str;
use Throwable;

/** Reads a website in the background: that takes as long as the website does, and nobody else waits for it. */
final class ReadWebsite implements ShouldQueue
{
    use Queueable;

    /** Seconds for which what was found is kept. */
    private const KEPT = 3600;

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
        $kept->put(self::key($site->id, $token), ['state' => 'reading', 'reason' => null, 'found' => null], self::KEPT);
        dispatch(new self($site->id, $token, $address));

        return $token;
    }

    /** @return array{state: string, reason: string|null, found: array<string, mixed>|null}|null null where nobody asked, or long ago */
    public static function found(Site $site, string $token, Repository $kept): ?array
    {
        /** @var array{state: string, reason: string|null, found: array<string, mixed>|null}|null $found */
        $found = $kept->get(self::key($site->id, $token));

        return $found;
    }

    public function handle(Discover $discover, Repository $kept): void
    {
        $site = Site::query()->findOrFail($this->siteId);
        try {
            $this->keep($kept, 'done', null, get_object_vars($discover->at($site, $this->address)));
        } catch (FetchFailed|PayloadIsUnreadable $failed) {
            $this->keep($kept, 'failed', $failed->getMessage(), null);
        }
    }

    public function failed(?Throwable $fault): void
    {
        $this->keep(
            app(Repository::class),
            'failed',
            'Reading it took too long or went wrong; the details are in Gnomic\'s log. Try again, or add its sources by their addresses.',
            null,
        );
    }

    /** @param  array<string, mixed>|null  $found */
    private function keep(Repository $kept, string $state, ?string $reason, ?array $found): void
    {
        $kept->put(self::key($this->siteId, $this->token), ['state' => $state, 'reason' => $reason, 'found' => $found], self::KEPT);
    }

    private static function key(int $siteId, string $token): string
    {
        return "website:$siteId:$token";
    }
}
