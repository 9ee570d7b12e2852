<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Host\DiskIsFull;
use App\Host\HostLocks;
use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;
use App\Outbox\Outbox;
use Gnomic\Json\Value;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Fetches a site's waiting pictures in the background, and shows them where they belong once they are kept. */
final class FetchPictures implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** Seconds after which it lets others come first, and goes on later. */
    private const TURN = 60;

    /** Seconds until a picture that could not be fetched is tried again. */
    private const AGAIN = 60;

    private const MOST_TRIES = 3;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 60;

    public function __construct(public int $site)
    {
        $this->onQueue('pictures');
    }

    public function uniqueId(): string
    {
        return (string) $this->site;
    }

    /** Sends a worker to every site with pictures that wait: what was killed half way, or failed, goes on by this. */
    public static function sweep(): int
    {
        $query = Picture::query();
        $sites = self::waiting($query)->distinct()->pluck('site_id');
        foreach ($sites as $site) {
            self::dispatch(Value::whole($site));
        }

        return count($sites);
    }

    public function handle(Fetcher $fetcher, PictureFiles $files, Outbox $outbox, HostLocks $locks): void
    {
        $site = Site::query()->find($this->site);
        $lock = $locks->attempt("pictures-$this->site");
        $until = microtime(true) + self::TURN;
        $query = Picture::query();
        $query->where('site_id', $this->site);
        /** @var iterable<Picture> $waiting */
        $waiting = $lock === null ? [] : self::waiting($query)->lazyById(50);
        foreach ($waiting as $picture) {
            if (microtime(true) > $until) {
                self::dispatch($this->site);
                break;
            }
            $picture->tries < self::MOST_TRIES
                ? $this->fetch($picture, $site, $fetcher, $files, $outbox)
                : $picture->update([
                    'state' => PictureState::Lost,
                    'reason' => 'Gnomic stopped several times while processing this picture.',
                ]);
        }
    }

    /**
     * @param  Builder<Picture>  $query
     * @return Builder<Picture> those that may be tried now
     */
    private static function waiting(Builder $query): Builder
    {
        return $query->where('state', PictureState::Waiting)->where(
            fn (Builder $query) => $query->where('tries', 0)->orWhere('updated_at', '<', now()->subSeconds(self::AGAIN)),
        );
    }

    private function fetch(Picture $picture, ?Site $site, Fetcher $fetcher, PictureFiles $files, Outbox $outbox): void
    {
        // Counted before: one that ends its worker is given up in the end like any other, and keeps nobody waiting behind it.
        $picture->update(['tries' => $picture->tries + 1]);
        $again = $picture->tries < self::MOST_TRIES;
        try {
            $answer = $fetcher->get($picture->url, ['Accept' => 'image/webp, image/png, image/jpeg, image/gif']);
            $reason = $answer->isOk()
                ? null
                : FetchFailed::status($answer->status, (string) parse_url($picture->url, PHP_URL_HOST))->getMessage();
            $again = $again && ($answer->status >= 500 || $answer->status === 429);
            if ($reason === null) {
                $kept = $files->keep($answer->body);
                DB::transaction(function () use ($picture, $site, $outbox, $kept): void {
                    $picture->update(['state' => PictureState::Kept, 'reason' => null] + $kept);
                    if ($site !== null) {
                        $outbox->site($site, 'Pictures have come');
                    }
                });

                return;
            }
        } catch (FetchFailed $failed) {
            $reason = $failed->getMessage();
        } catch (PictureIsWrong $wrong) {
            [$reason, $again] = [$wrong->getMessage(), false];
        } catch (Throwable $fault) {
            if (DiskIsFull::caused($fault)) {
                $picture->update(['tries' => $picture->tries - 1]); // no fault of its own

                throw $fault;
            }
            report($fault);
            $reason = 'Gnomic could not process this picture. The details are in its log.';
        }
        $picture->update(['reason' => $reason, 'state' => $again ? PictureState::Waiting : PictureState::Lost]);
    }
}
