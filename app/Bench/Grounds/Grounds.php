<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use App\Fetching\FetchFailed;
use App\Models\Ground;
use App\Models\Site;
use Gnomic\Json\Value;
use InvalidArgumentException;

/** Fetches pages of a site's own website, keeps them to proof widgets on, and says what looks they propose. */
final readonly class Grounds
{
    /** Pages that are sent for at a time. */
    private const AT_ONCE = 500;

    /** Pages of a site that are kept. */
    private const KEPT = 40;

    public function __construct(private ConfinedPage $pages)
    {
    }

    /**
     * @param  string  $css  pasted by the owner where the page says too little
     *
     * @throws FetchFailed|InvalidArgumentException where it cannot be had; what was fetched before stays
     */
    public function fetch(Site $site, string $address, string $css = ''): Ground
    {
        $ground = Ground::at($site->id, $address)
            ?? new Ground(['site_id' => $site->id, 'address' => $address, 'digest' => Ground::digest($address)]);
        try {
            $read = $this->pages->read($address, $css);
        } catch (FetchFailed|InvalidArgumentException $failure) {
            if ($ground->exists) {
                $ground->update(['failure' => $failure->getMessage()]);
            }
            throw $failure;
        }
        $ground->fill([
            'failure' => null,
            'html' => $read['html'],
            'matched' => $read['matched'],
            'fetched_at' => now(),
        ])->save();
        $this->tidy($site);

        return $ground;
    }

    /** Sends for those again that were fetched a day ago: each is a job of its own. @return int how many */
    public function refresh(): int
    {
        $old = Ground::query()->where('fetched_at', '<', now()->subDay())->orderBy('fetched_at')->limit(self::AT_ONCE)->pluck('id');
        foreach ($old as $id) {
            ReadAgain::dispatch(Value::whole($id));
        }

        return count($old);
    }

    public function readAgain(int $id): void
    {
        $ground = Ground::query()->find($id);
        $site = $ground === null ? null : Site::query()->find($ground->site_id);
        if ($ground === null || $site === null) {
            return;
        }
        try {
            $this->fetch($site, $ground->address);
        } catch (FetchFailed|InvalidArgumentException $failure) {
            // The page as it was serves until it is there again; tomorrow it is asked again.
            $ground->update(['failure' => $failure->getMessage(), 'fetched_at' => now()]);
        }
    }

    private function tidy(Site $site): void
    {
        $kept = $site->grounds()->get()->sortByDesc('fetched_at')->take(self::KEPT)->pluck('id');
        $site->grounds()->whereNotIn('id', $kept)->delete();
    }
}
