<?php

declare(strict_types=1);

namespace App\Placing;

use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Widget;
use App\Outbox\Outbox;
use Gnomic\Place\Spot\Spot;
use Gnomic\Place\Spot\SpotRules;
use Illuminate\Support\Facades\DB;

/** Puts widgets on spots, changes spots and takes them away; what shows on pages follows in the background. */
final readonly class Spots
{
    public function __construct(private Forms $forms, private SiteScript $script, private Outbox $outbox, private WidgetKeys $keys)
    {
    }

    /** @throws TooManyForms|TooManySpots */
    public function put(Site $site, Widget $widget, Spot $spot): SpotRecord
    {
        if ($site->spots()->count() >= SpotRules::MOST) {
            throw new TooManySpots(
                'A site has room for '.SpotRules::MOST.' spots. Use one with a pattern, such as /shop/*, for many pages.',
            );
        }
        $record = DB::transaction(function () use ($site, $widget, $spot): SpotRecord {
            $record = $site->spots()->create(['widget_id' => $widget->id, 'key' => $this->keys->new(), 'spot' => $spot->toArray()]);
            $this->changed($widget);

            return $record;
        });
        $this->script->write($site);

        return $record->refresh();
    }

    /** @throws TooManyForms */
    public function change(Site $site, SpotRecord $record, Spot $spot): void
    {
        DB::transaction(function () use ($record, $spot): void {
            $record->update(['spot' => $spot->toArray()]);
            $this->changed($record->widget);
        });
        $this->script->write($site);
    }

    /** @param  bool  $removed  false brings it back */
    public function turn(Site $site, SpotRecord $record, bool $removed): void
    {
        DB::transaction(function () use ($record, $removed): void {
            $record->update(['removed_at' => $removed ? now() : null]);
            $this->changed($record->widget);
        });
        $this->script->write($site);
    }

    /**
     * Spots that are in each other's way.
     *
     * @return list<array{string, string}> keys, of the one that decides and of the one that does not
     */
    public function collisions(Site $site): array
    {
        return self::rules($site)->collisions();
    }

    public static function rules(Site $site): SpotRules
    {
        $spots = [];
        foreach (SpotRecord::ofQuery(fn ($query) => $query->where('site_id', $site->id)->whereNull('removed_at')) as $record) {
            $spots[$record->key] = ['spot' => $record->toCore(), 'widget' => $record->widget->key];
        }

        return new SpotRules($spots);
    }

    private function changed(Widget $widget): void
    {
        $this->forms->sync($widget);
        if ($widget->edition_id !== null) {
            $this->outbox->widget($widget, null, 'Its spots changed');
        }
    }
}
