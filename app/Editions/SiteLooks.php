<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\SavedLook;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dressed;
use Gnomic\Dress\Look;
use Gnomic\Dress\Looks;
use Gnomic\Dress\Own\OwnCss;

/** The looks that a site can have: those that ship, and those that it keeps. */
final readonly class SiteLooks
{
    public function __construct(private LookFiles $files)
    {
    }

    public function of(Site $site): Looks
    {
        $saved = array_map(fn (SavedLook $look): Look => $look->toCore(), array_values($site->looks()->get()->all()));

        return $this->files->all()->with($saved);
    }

    /** A brief's look as it goes out. */
    public function dressed(Site $site, Brief $brief): Dressed
    {
        return self::on($this->of($site), $brief);
    }

    public static function on(Looks $looks, Brief $brief): Dressed
    {
        $css = $brief->dress->css === '' ? '' : OwnCss::read($brief->dress->css)->css;

        return Dressed::of($looks->named($brief->dress->look), $brief->dress, $css);
    }
}
