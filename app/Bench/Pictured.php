<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Content;
use App\Editions\Contents;
use App\Editions\Renderer;
use App\Editions\Wanted;
use App\Models\Site;
use App\Sift\SiteContexts;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;

/** A few of the entries that a brief chooses, drawn small, by the code that publishes. */
final readonly class Pictured
{
    /** Of no widget. */
    private const KEY = 'picture';

    public function __construct(private Renderer $renderer, private Contents $contents)
    {
    }

    /** @param  int  $most  entries: more are not seen in so small a picture */
    public function content(Site $site, Brief $brief, int $most): Content
    {
        $sieve = SiteSieve::of($site, $brief->criteria, SiteContexts::of($site)->for($brief->criteria));
        $shown = array_slice($sieve->selection()->shown, 0, $most);

        return $this->contents->of($site, new Wanted($brief, $sieve, $shown, $site->spoken()[0]));
    }

    public function fragment(Content $content): string
    {
        return $this->renderer->fragment($content, $this->renderer->plan($content, self::KEY), self::KEY);
    }
}
