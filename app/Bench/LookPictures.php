<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Contents;
use App\Editions\Renderer;
use App\Editions\SiteLooks;
use App\Editions\Wanted;
use App\Models\Site;
use App\Sift\SiteContexts;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dress;

/** The owner's own entries in every look that there is, made by the code that publishes: to choose by looking. */
final readonly class LookPictures
{
    /** Entries of a picture: more are not seen in so small a one. */
    private const MOST = 6;

    /** Of no widget. */
    private const KEY = 'picture';

    public function __construct(private Renderer $renderer, private Contents $contents, private SiteLooks $looks)
    {
    }

    /** @return list<array{key: string, fragment: string, ground: string}> */
    public function of(Site $site, Brief $brief): array
    {
        $sieve = SiteSieve::of($site, $brief->criteria, SiteContexts::of($site)->for($brief->criteria));
        $shown = array_slice($sieve->selection()->shown, 0, self::MOST);
        $own = $brief->with(shape: $brief->shape->with(['at' => [], 'more' => 'none', 'actions' => []]));
        $content = $this->contents->of($site, new Wanted($own, $sieve, $shown, $site->spoken()[0]));
        $pictures = [];
        foreach ($this->looks->of($site)->all() as $look) {
            $worn = Dress::read(['name' => $look->key]);
            $dressed = $this->looks->worn($site, $look, $worn);
            $pictured = $content->as($own->with(dress: $worn))->in($dressed);
            $pictures[] = [
                'key' => $look->key,
                'fragment' => $this->renderer->fragment($pictured, $this->renderer->plan($pictured, self::KEY), self::KEY),
                'ground' => $dressed->palette()->solid()->toHex(),
            ];
        }

        return $pictures;
    }
}
