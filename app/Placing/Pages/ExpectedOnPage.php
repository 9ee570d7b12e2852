<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Models\Finding;
use App\Models\Page;
use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Widget;
use App\Placing\Spots;
use Gnomic\Json\Value;
use Gnomic\Place\Check\Expected;
use Gnomic\Place\Check\PageCheck;
use Gnomic\Place\Check\PageTags;
use Gnomic\Place\Pattern\PathName;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Spot\Position;
use Gnomic\Text\Words;

/** Which widgets should be on a page: those that its spots say, those that were found there, and those whose code stands there. */
final readonly class ExpectedOnPage
{
    public function __construct(private string $host)
    {
    }

    /** @return array<int, array{Widget, Expected}> by identifier of the widget */
    public function on(Page $page): array
    {
        $expected = [];
        $path = PathName::of($page->address);
        $deciding = array_flip(Spots::rules($page->site)->on($path));
        foreach ($this->spots($page->site) as $record) {
            $spot = $record->toCore();
            if (isset($deciding[$record->key]) && $spot->isDue(now()->toDateTimeImmutable(), $page->site->zone())) {
                $isNamed = array_filter(
                    $spot->pages,
                    fn (PathPattern $pattern): bool => $pattern->isOnePage() && $pattern->matches($path),
                ) !== [];
                $expected[$record->widget_id] = [$record->widget, self::of(
                    $record->widget,
                    $spot->position === Position::Tag ? null : $spot->selector,
                    $isNamed || $spot->position !== Position::Tag,
                )];
            }
        }
        $findings = Finding::query();
        $findings->where('page_id', $page->id)->with('widget');
        foreach ($findings->get() as $finding) {
            if ($finding->widget->removed_at === null) {
                $expected[$finding->widget_id] ??= [$finding->widget, self::of($finding->widget, null, $finding->last_there_at !== null)];
            }
        }

        return $expected;
    }

    /**
     * And those whose code is there.
     *
     * @param  array<int, array{Widget, Expected}>  $expected
     * @return array<int, array{Widget, Expected}>
     */
    public function with(array $expected, PageTags $tags, Page $page): array
    {
        $keys = [...array_column($tags->elements, 'key'), ...array_column($tags->frames, 'key'), ...$tags->escaped];
        $query = Widget::query();
        $query->where('site_id', $page->site_id)->whereIn('key', array_unique($keys));
        foreach ($query->get() as $found) {
            $widget = $found->variant_of === null ? $found : Widget::query()->find($found->variant_of);
            if ($widget instanceof Widget && $widget->removed_at === null) {
                $expected[$widget->id] ??= [$widget, self::of($widget, null, true)];
            }
        }

        return $expected;
    }

    public function check(Site $site): PageCheck
    {
        $keys = $site->allWidgets()->pluck('key')->map(fn (mixed $key): string => Value::text($key));

        return new PageCheck(
            $this->host,
            (string) $site->key,
            $site->allowed === null ? null : $site->hosts(),
            array_values($keys->all()),
            array_filter([
                '/gnomic.js' => (string) @file_get_contents(config()->string('gnomic.data').'/run/public/gnomic.js'),
                "/s/$site->key.js" => (string) @file_get_contents(config()->string('gnomic.editions')."/s/$site->key.js"),
            ], Words::isFilled(...)),
        );
    }

    /** @return list<SpotRecord> */
    private function spots(Site $site): array
    {
        return array_values(array_filter(
            SpotRecord::ofQuery(fn ($query) => $query->where('site_id', $site->id)->whereNull('removed_at')),
            fn (SpotRecord $record): bool => $record->widget->removed_at === null,
        ));
    }

    private static function of(Widget $widget, ?string $selector, bool $isSure): Expected
    {
        $forms = Widget::query()->where('variant_of', $widget->id)->pluck('key')->map(fn (mixed $key): string => Value::text($key))->all();

        return new Expected(
            $widget->key,
            $widget->name,
            [$widget->key, ...array_values($forms)],
            $selector,
            $isSure,
            $widget->edition_id !== null,
        );
    }
}
