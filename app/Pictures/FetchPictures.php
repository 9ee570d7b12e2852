<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Models\Picture;
use App\Models\Site;
use App\Outbox\Outbox;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/** Fetches a site's waiting pictures in the background, and shows them where they belong once they are kept. */
final class FetchPictures implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    private const AT_ONCE = 40;

    private const MOST_TRIES = 3;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 300;

    public function __construct(public int $site)
    {
        $this->onQueue('pictures');
    }

    public function uniqueId(): string
    {
        return (string) $this->site;
    }

    public function handle(Fetcher $fetcher, PictureFiles $files, Outbox $outbox): void
    {
        $site = Site::query()->find($this->site);
        $query = Picture::query();
        $query->where('site_id', $this->site)->where('state', 'waiting')->orderBy('id')->limit(self::AT_ONCE);
        $waiting = $query->get();
        foreach ($waiting as $picture) {
            $this->fetch($picture, $site, $fetcher, $files, $outbox);
        }
        if ($site !== null && count($waiting) === self::AT_ONCE) {
            self::dispatch($this->site)->delay(1);
        }
    }

    private function fetch(Picture $picture, ?Site $site, Fetcher $fetcher, PictureFiles $files, Outbox $outbox): void
    {
        try {
            $answer = $fetcher->get($picture->url, ['Accept' => 'image/webp, image/png, image/jpeg, image/gif']);
            $reason = $answer->isOk()
                ? null
                : FetchFailed::status($answer->status, (string) parse_url($picture->url, PHP_URL_HOST))->getMessage();
            $again = $answer->status >= 500 || $answer->status === 429;
            if ($reason === null) {
                $kept = $files->keep($answer->body);
                DB::transaction(function () use ($picture, $site, $outbox, $kept): void {
                    $picture->update(['state' => 'kept', 'reason' => null] + $kept);
                    $site === null || $outbox->site($site, 'Pictures have come');
                });

                return;
            }
        } catch (FetchFailed $failed) {
            [$reason, $again] = [$failed->getMessage(), true];
        } catch (PictureIsWrong $wrong) {
            [$reason, $again] = [$wrong->getMessage(), false];
        }
        $tries = $picture->tries + 1;
        $picture->update(['tries' => $tries, 'reason' => $reason, 'state' => $again && $tries < self::MOST_TRIES ? 'waiting' : 'lost']);

    }
}
