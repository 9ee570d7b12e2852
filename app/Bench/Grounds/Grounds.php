<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use App\Editions\Behaviours;
use App\Fetching\FetchFailed;
use App\Models\Ground;
use App\Models\Site;
use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Gather\Problem;
use InvalidArgumentException;

/** Fetches pages of a site's own website, keeps them to proof widgets on, and says what looks they propose. */
final readonly class Grounds
{
    /** Pages of a site that are kept. */
    private const KEPT = 40;

    /** Characters of a page that is kept. */
    private const LONGEST = 3_000_000;

    public function __construct(private LoadPage $load, private Behaviours $behaviours, private string $host)
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
            $loaded = $this->load->address($address);
        } catch (FetchFailed|InvalidArgumentException $failure) {
            if ($ground->exists) {
                $ground->update(['failure' => $failure->getMessage()]);
            }
            throw $failure;
        }
        $loaded = $css === '' ? $loaded : $loaded->with($css);
        $matching = Matching::of($loaded->page, $loaded->fetch(...), new Viewport, $loaded->extremes(...));
        $problems = array_map(fn (Problem $problem): string => (string) $problem, $loaded->problems());
        $html = Harmless::of($loaded->page, "$this->host/b/".$this->behaviours->file('proof'), $this->host);
        $ground->fill([
            'failure' => null,
            'html' => strlen($html) > self::LONGEST ? null : $html,
            'matched' => ['problems' => $problems] + $matching->toArray(),
            'fetched_at' => now(),
        ])->save();
        $this->tidy($site);

        return $ground;
    }

    /** Those that were fetched a day ago, again. @return int how many */
    public function refresh(): int
    {
        $refreshed = 0;
        foreach (Site::query()->whereIn(
            'id',
            Ground::query()->where('fetched_at', '<', now()->subDay())->select('site_id'),
        )->get() as $site) {
            $refreshed += $site instanceof Site ? $this->refreshOf($site) : 0;
        }

        return $refreshed;
    }

    private function refreshOf(Site $site): int
    {
        $old = $site->grounds()->get()->filter(fn (Ground $ground): bool => $ground->fetched_at?->lt(now()->subDay()) === true);
        foreach ($old as $ground) {
            try {
                $this->fetch($site, $ground->address);
            } catch (FetchFailed|InvalidArgumentException $failure) {
                // The page as it was serves until it is there again; tomorrow it is asked again.
                $ground->update(['failure' => $failure->getMessage(), 'fetched_at' => now()]);
            }
        }

        return $old->count();
    }

    private function tidy(Site $site): void
    {
        $kept = $site->grounds()->get()->sortByDesc('fetched_at')->take(self::KEPT)->pluck('id');
        $site->grounds()->whereNotIn('id', $kept)->delete();
    }
}
