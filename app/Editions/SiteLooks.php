<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\SavedLook;
use App\Models\Site;
use App\Pictures\Pictures;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dress;
use Gnomic\Dress\Dressed;
use Gnomic\Dress\Look;
use Gnomic\Dress\Looks;
use Gnomic\Dress\Own\OwnCss;

/** The looks that a site can have: those that ship, and those that it keeps. */
final readonly class SiteLooks
{
    /** Of a picture that nobody has looked at. */
    private const ANY = ['#000000', '#ffffff'];

    public function __construct(private LookFiles $files, private Pictures $pictures)
    {
    }

    public function of(Site $site): Looks
    {
        $saved = array_map(fn (SavedLook $look): Look => $look->toCore(), array_values($site->looks()->get()->all()));

        return $this->files->all()->with($saved);
    }

    /** A brief's look as the owner has it, with nothing mended. */
    public function undressed(Site $site, Brief $brief): Look
    {
        return $brief->dress->on($this->of($site)->named($brief->dress->look));
    }

    /** A brief's look as it goes out. */
    public function dressed(Site $site, Brief $brief): Dressed
    {
        return $this->worn($site, $this->undressed($site, $brief), $brief->dress);
    }

    /** @param  Look  $own  with what is other in the brief */
    public function worn(Site $site, Look $own, Dress $dress): Dressed
    {
        $picture = $own->tokens->picture;
        if ($picture !== null) {
            $kept = $this->pictures->behind($site, $picture);
            $own = $own->pictured($kept['address'] ?? null, $kept['extremes'] ?? self::ANY);
        }

        return Dressed::of($own, $dress, self::rules($dress));
    }

    /** Of a brief that belongs to no site: a picture is shown from where it is. */
    public static function on(Looks $looks, Brief $brief): Dressed
    {
        $own = $brief->dress->on($looks->named($brief->dress->look));
        $own = $own->tokens->picture === null ? $own : $own->pictured($own->tokens->picture, self::ANY);

        return Dressed::of($own, $brief->dress, self::rules($brief->dress));
    }

    private static function rules(Dress $dress): string
    {
        return $dress->css === '' ? '' : OwnCss::read($dress->css)->css;
    }
}
