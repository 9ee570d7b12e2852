<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Fragments;
use App\Editions\SiteLooks;
use App\Editions\Supplies;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dress;
use Gnomic\Edition\Input\Assembler;

/** The owner's own entries in every look that there is, made by the code that publishes: to choose by looking. */
final readonly class LookPictures
{
    /** Entries of a picture: more are not seen in so small a one. */
    private const MOST = 6;

    public function __construct(private Supplies $supplies, private Fragments $fragments, private SiteLooks $looks)
    {
    }

    /** @return list<array{key: string, fragment: string, ground: string}> */
    public function of(Site $site, Brief $brief): array
    {
        $own = $brief->with(shape: $brief->shape->with(['at' => [], 'more' => 'none', 'actions' => []]));
        $input = (new Assembler($this->supplies->of($site)))->first($own, self::MOST);
        $pictures = [];
        foreach ($this->looks->of($site)->all() as $look) {
            // In the colours of its ground, however the studio is dressed.
            $worn = Dress::read(['name' => $look->key, 'scheme' => $look->scheme->alone()->value]);
            $dressed = $this->looks->worn($site, $worn->on($look), $worn);
            $pictured = $input->by($own->with(dress: $worn), $dressed);
            $pictures[] = [
                'key' => $look->key,
                'fragment' => $this->fragments->picture($pictured),
                'ground' => $dressed->palette()->solid()->toHex(),
            ];
        }

        return $pictures;
    }
}
