<?php

declare(strict_types=1);

namespace App\Placing;

use App\Host\Folder;
use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Subject;
use App\Models\Widget;
use App\Outbox\Outbox;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Gnomic\Place\Spot\Follows;
use Gnomic\Place\Spot\Overrides;
use Gnomic\Place\Spot\SubjectDigest;
use Illuminate\Support\Facades\DB;

/**
 * Forms of a widget that its spots need: each a widget of its own that is in no list, with a key, a brief made of the widget's and what
 * is other on the spot, and editions. So each is made ahead, and made again only when something touches it.
 */
final readonly class Forms
{
    /** Of all widgets of a site. */
    public const MOST = 2_500;

    public function __construct(private Outbox $outbox, private WidgetKeys $keys, private string $editions)
    {
    }

    /** Makes the forms that a widget's spots need, and takes away those that they need no more. @throws TooManyForms */
    public function sync(Widget $widget): void
    {
        $wanted = [];
        foreach ($widget->spotRecords() as $spot) {
            $wanted += $this->of($spot);
        }
        // The versions of a trial are no spot's.
        $there = array_filter(
            $widget->formsByVariant(),
            fn (string $variant): bool => str_starts_with($variant, 's'),
            ARRAY_FILTER_USE_KEY,
        );
        $others = Widget::query()->where('site_id', $widget->site_id)->whereNotNull('variant_of')->count() - count($there);
        if ($others + count($wanted) > self::MOST) {
            throw new TooManyForms('This spot needs '.count($wanted).' forms of the widget. A site has room for '.self::MOST
                ." and has $others others; let fewer subjects follow the page, or take away spots that are over.");
        }
        foreach ($there as $variant => $form) {
            $wants = $wanted[$variant] ?? null;
            if ($wants === null && $form->removed_at === null) {
                $form->update(['removed_at' => now(), 'stays' => false]);
                $this->outbox->widget($form, null, 'Its spot was removed');
            } elseif ($wants !== null && ($form->removed_at !== null || $form->overrides !== $wants[0])) {
                if ($form->removed_at !== null && $form->edition_id !== null) {
                    $this->outbox->widget($form, null, 'Its spot was restored');
                }
                $form->update(['removed_at' => null, 'overrides' => $wants[0], 'name' => $this->name($widget, $wants[1])]);
            }
        }
        foreach (array_diff_key($wanted, $there) as $variant => [$overrides, $about]) {
            $widget->forms()->create([
                'site_id' => $widget->site_id,
                'key' => $this->keys->new(),
                'name' => $this->name($widget, $about),
                'brief' => $widget->brief,
                'variant' => $variant,
                'overrides' => $overrides,
            ]);
        }
        if ($widget->edition !== null) {
            $this->follow($widget, $widget->edition->toBrief());
        }
        $this->link($widget);
    }

    /** Forms follow what is published of their widget. */
    public function follow(Widget $widget, Brief $published): void
    {
        foreach (array_filter($widget->formsByVariant(), fn (Widget $form): bool => $form->removed_at === null) as $form) {
            $brief = Overrides::read($form->overrides ?? [])->on($published);
            if ($form->edition_id === null || $form->brief !== $brief->toArray()) {
                $form->update(['brief' => $brief->toArray()]);
                $this->outbox->widget($form, $brief, 'Its widget was published');
            }
        }
    }

    /** A widget that goes, goes with its forms; and comes back with them. */
    public function turnWith(Widget $widget, bool $removed, bool $stays): void
    {
        foreach ($widget->formsByVariant() as $form) {
            $form->update(['removed_at' => $removed ? now() : null, 'stays' => $removed && $stays]);
            if ($form->edition_id !== null) {
                $this->outbox->widget($form, null, $removed ? 'It was removed' : 'It was restored');
            }
        }
        if (! $removed) {
            $this->sync($widget);
        }
    }

    /**
     * The form that shows on each spot; the widget itself where it is nowhere different.
     *
     * @param  list<SpotRecord>  $spots
     * @return array<int, Widget> by the identifier of the spot
     */
    public static function at(array $spots): array
    {
        $forms = Widget::query()->with('edition')->whereNull('removed_at')->whereNotNull('overrides')
            ->whereIn('variant_of', array_map(fn (SpotRecord $spot): int => $spot->widget_id, $spots))
            ->whereIn('variant', array_map(fn (SpotRecord $spot): string => "s$spot->id", $spots))
            ->get()->keyBy('variant');
        $at = [];
        foreach ($spots as $spot) {
            $at[$spot->id] = $forms["s$spot->id"] ?? $spot->widget;
        }

        return $at;
    }

    /**
     * @return array<string, array{array<string, mixed>, string}> overrides and what they are about, by the name of the form
     */
    private function of(SpotRecord $record): array
    {
        $spot = $record->toCore();
        if (! $spot->isOther()) {
            return [];
        }
        $forms = ["s$record->id" => [$spot->overrides->toArray(), implode(', ', $spot->overrides->phrases())]];
        if ($spot->follows !== null) {
            foreach (DB::table('subjects')->where('site_id', $record->site_id)->orderBy('id')->get(['key', 'name']) as $subject) {
                $key = Value::text($subject->key);
                $forms["s$record->id.$key"] = [
                    $spot->overrides->about($key)->toArray(),
                    Value::text($subject->name),
                ];
            }
        }

        return $forms;
    }

    /** Where pages say what they are about, files are found by a digest of what they say. */
    private function link(Widget $widget): void
    {
        $forms = $widget->formsByVariant();
        foreach (SpotRecord::ofQuery(fn ($query) => $query->where('widget_id', $widget->id)) as $record) {
            $follows = $record->toCore()->follows;
            $own = $forms["s$record->id"] ?? null;
            if ($follows !== null && $own !== null) {
                $this->linkSpot($record, $own, $record->removed_at === null ? $follows : null, $forms);
            }
        }
    }

    /** @param  array<string, Widget>  $forms  by variant */
    private function linkSpot(SpotRecord $record, Widget $own, ?Follows $follows, array $forms): void
    {
        $links = $follows === null ? [] : self::digests($record, $follows, $forms);
        $folder = "$this->editions/$own->key/for";
        is_dir($folder) || @mkdir($folder, 0755, true);
        foreach (Folder::names($folder) as $name) {
            if (! str_starts_with($name, '.') && ! isset($links[$name])) {
                @unlink("$folder/$name");
            }
        }
        foreach ($links as $digest => $key) {
            if (@readlink("$folder/$digest") !== "../../$key") {
                $new = "$folder/.".bin2hex(random_bytes(4));
                @symlink("../../$key", $new) && @rename($new, "$folder/$digest");
            }
        }
    }

    /**
     * By what pages may say that they are about.
     *
     * @param  array<string, Widget>  $forms  by variant
     * @return array<string, string> keys of forms by digest
     */
    public static function digests(SpotRecord $record, Follows $follows, array $forms): array
    {
        $digests = [];
        $subjects = Subject::query();
        $subjects->where('site_id', $record->site_id)->orderBy('id');
        foreach ($subjects->get() as $subject) {
            $form = $forms["s$record->id.$subject->key"] ?? null;
            if ($form === null || $form->removed_at !== null) {
                continue;
            }
            foreach (self::called($subject, $follows) as $words) {
                // Of two that are called the same, the earlier.
                $digests[SubjectDigest::of($words)] ??= $form->key;
            }
        }

        return $digests;
    }

    /** @return list<string> what pages may call it */
    private static function called(Subject $subject, Follows $follows): array
    {
        return [...$subject->identities ?? [], $subject->key, ...($follows === Follows::Path ? [] : [$subject->name])];
    }

    private function name(Widget $widget, string $about): string
    {
        return mb_strimwidth($about === '' ? $widget->name : "$widget->name, $about", 0, 100, '…');
    }

    /** @return int sites that were looked at */
    public function sweep(): int
    {
        $looked = 0;
        foreach (Site::query()->lazyById(200) as $site) {
            if ($site instanceof Site && $site->spots()->exists()) {
                $this->subjectsChanged($site);
                $looked++;
            }
        }

        return $looked;
    }

    /** Every widget of a site that has a spot by what pages say, when its subjects have changed. */
    public function subjectsChanged(Site $site): void
    {
        $synced = [];
        foreach (SpotRecord::ofQuery(fn ($query) => $query->where('site_id', $site->id)->whereNull('removed_at')) as $record) {
            if ($record->toCore()->follows !== null && ! isset($synced[$record->widget_id])) {
                $synced[$record->widget_id] = true;
                $this->sync($record->widget);
            }
        }
    }
}
