<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Editions\Refresh;
use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Models\Picture;
use App\Models\Site;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

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
    }

    public function uniqueId(): string
    {
        return (string) $this->site;
    }

    public function handle(Fetcher $fetcher, PictureFiles $files, Refresh $refresh): void
    {
        $site = Site::query()->find($this->site);
        $query = Picture::query();
        $query->where('site_id', $this->site)->where('state', 'waiting')->orderBy('id')->limit(self::AT_ONCE);
        $waiting = $query->get();
        $kept = 0;
        foreach ($waiting as $picture) {
            $kept += $this->fetch($picture, $fetcher, $files) ? 1 : 0;
        }
        if ($site !== null && $kept > 0) {
            $refresh->site($site, 'Pictures have come');
        }
        if ($site !== null && count($waiting) === self::AT_ONCE) {
            self::dispatch($this->site)->delay(1);
        }
    }

    private function fetch(Picture $picture, Fetcher $fetcher, PictureFiles $files): bool
    {
        try {
            $answer = $fetcher->get($picture->url, ['Accept' => 'image/webp, image/png, image/jpeg, image/gif']);
            $reason = $answer->isOk() ? null : FetchFailed::status($answer->status, (string) parse_url($picture->url, PHP_URL_HOST))->getMessage();
            $again = $answer->status >= 500 || $answer->status === 429;
            if ($reason === null) {
                $picture->update(['state' => 'kept', 'reason' => null] + $files->keep($answer->body));

                return true;
            }
        } catch (FetchFailed $failed) {
            [$reason, $again] = [$failed->getMessage(), true];
        } catch (PictureIsWrong $wrong) {
            [$reason, $again] = [$wrong->getMessage(), false];
        }
        $tries = $picture->tries + 1;
        $picture->update(['tries' => $tries, 'reason' => $reason, 'state' => $again && $tries < self::MOST_TRIES ? 'waiting' : 'lost']);

        return false;
    }
}
