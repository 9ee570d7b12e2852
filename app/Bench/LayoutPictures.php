<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Fragments;
use App\Editions\SiteLooks;
use App\Editions\Supplies;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Edition\Input\Assembler;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Purpose;

/** The owner's own entries in every layout, made by the code that publishes: to choose by looking. */
final readonly class LayoutPictures
{
    /** Entries of a picture: more are not seen in so small a one. */
    private const MOST = 12;

    public function __construct(private Supplies $supplies, private Fragments $fragments, private SiteLooks $looks)
    {
    }

    /** @return list<array{name: string, label: string, madeFor: list<string>, fragment: string}> */
    public function of(Site $site, Brief $brief): array
    {
        // In the colours of its ground, however the studio is dressed.
        $scheme = $this->looks->undressed($site, $brief)->scheme->alone();
        $brief = $brief->with(dress: $brief->dress->with(['scheme' => $scheme->value]));
        $input = (new Assembler($this->supplies->of($site)))->first($brief, self::MOST);
        $pictures = [];
        foreach (Layouts::ALL as $layout) {
            // As it begins, but for what is the owner's word on cards, heads and room.
            $own = $layout::name() === $brief->shape->layout::name()
                ? $brief->shape->toArray()['layout']
                : ['name' => $layout::name()];
            $shape = $brief->shape->with(['layout' => $own, 'at' => [], 'more' => 'none', 'actions' => []]);
            $pictured = $input->by($brief->with(shape: $shape));
            $pictures[] = [
                'name' => $layout::name(),
                'label' => $layout::label(),
                'madeFor' => array_map(fn (Purpose $purpose): string => $purpose->value, $layout::madeFor()),
                'fragment' => $this->fragments->picture($pictured),
            ];
        }

        return $pictures;
    }
}
