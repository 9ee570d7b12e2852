<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Contents;
use App\Editions\Renderer;
use App\Editions\Wanted;
use App\Models\Site;
use App\Sift\SiteContexts;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Purpose;

/** The owner's own entries in every layout, made by the code that publishes: to choose by looking. */
final readonly class LayoutPictures
{
    /** Entries of a picture: more are not seen in so small a one. */
    private const MOST = 12;

    /** Of no widget. */
    private const KEY = 'picture';

    public function __construct(private Renderer $renderer, private Contents $contents)
    {
    }

    /** @return list<array{name: string, label: string, madeFor: list<string>, fragment: string}> */
    public function of(Site $site, Brief $brief): array
    {
        $sieve = SiteSieve::of($site, $brief->criteria, SiteContexts::of($site)->for($brief->criteria));
        $shown = array_slice($sieve->selection()->shown, 0, self::MOST);
        $language = $site->spoken()[0];
        $content = $this->contents->of($site, new Wanted($brief, $sieve, $shown, $language));
        $pictures = [];
        foreach (Layouts::ALL as $layout) {
            // As it begins, but for what is the owner's word on cards, heads and room.
            $own = $layout::name() === $brief->shape->layout::name()
                ? $brief->shape->toArray()['layout']
                : ['name' => $layout::name()];
            $shape = $brief->shape->with(['layout' => $own, 'at' => [], 'more' => 'none', 'actions' => []]);
            $pictured = $content->as($brief->with(shape: $shape));
            $pictures[] = [
                'name' => $layout::name(),
                'label' => $layout::label(),
                'madeFor' => array_map(fn (Purpose $purpose): string => $purpose->value, $layout::madeFor()),
                'fragment' => $this->renderer->fragment($pictured, $this->renderer->plan($pictured, self::KEY), self::KEY),
            ];
        }

        return $pictures;
    }
}
