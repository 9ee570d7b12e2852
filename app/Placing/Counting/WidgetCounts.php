<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use App\Models\EntryRecord;
use App\Models\Widget;
use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
use Gnomic\Place\Count\Counts;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What visitors did with a widget and its forms: by day, by page, by width, and with which entries. */
final readonly class WidgetCounts
{
    private const PAGES = 50;

    private const ENTRIES = 30;

    /** @return array<string, mixed> */
    public function of(Widget $widget, int $days): array
    {
        $zone = $widget->site->timezone;
        $today = CarbonImmutable::now($zone)->startOfDay();
        $from = $today->subDays($days - 1)->format('Y-m-d');
        $ids = self::ids($widget);
        $sums = array_map(fn (string $kind) => DB::raw("SUM($kind) AS $kind"), Counts::KINDS);
        $counted = fn (): Builder => DB::table('counted')->whereIn('widget_id', $ids)->where('day', '>=', $from);
        $byDay = $counted()->groupBy('day')->get(['day', ...$sums])->keyBy('day');
        $editions = $widget->editions()->where('created_at', '>=', $today->subDays($days)->utc())->get(['number', 'created_at', 'cause']);
        $list = [];
        for ($day = $today->subDays($days - 1); $day <= $today; $day = $day->addDay()) {
            $key = $day->format('Y-m-d');
            $list[] = ['day' => $key] + self::counts($byDay[$key] ?? null) + ['editions' => array_values($editions
                ->filter(fn ($edition): bool => $edition->created_at->setTimezone($zone)->format('Y-m-d') === $key)
                ->map(fn ($edition): array => ['number' => $edition->number, 'cause' => $edition->cause])->all())];
        }
        $sightings = DB::table('sightings')->whereIn('widget_id', $ids)->get()->groupBy('page');
        $pages = $counted()->groupBy('page')->orderByDesc('views')->orderBy('page')->limit(self::PAGES)->get(['page', ...$sums]);

        return [
            'days' => $list,
            'total' => self::counts($counted()->first($sums)),
            'pages' => array_values($pages->map(fn (object $row): array => ['page' => Value::text($row->page)] + self::counts($row)
                + self::seen($sightings[Value::text($row->page)] ?? []))->all()),
            'widths' => array_values($counted()->groupBy('width')->get(['width', ...$sums])
                ->map(fn (object $row): array => ['width' => Value::text($row->width)] + self::counts($row))->all()),
            'entries' => $this->entries($widget, $ids, $from),
            'counts' => $widget->site->counts,
        ];
    }

    /** @return array<int, int> views of the last 30 days, by identifier of the widget, those of its forms included */
    public static function views(int $siteId): array
    {
        $views = [];
        $rows = DB::table('counted')->join('widgets', 'widgets.id', '=', 'counted.widget_id')->where('widgets.site_id', $siteId)
            ->where('day', '>=', now()->subDays(30)->format('Y-m-d'))->groupBy('of')
            ->get([DB::raw('COALESCE(widgets.variant_of, widgets.id) AS of'), DB::raw('SUM(views) AS views')]);
        foreach ($rows as $row) {
            $views[Value::whole($row->of)] = Value::whole($row->views);
        }

        return $views;
    }

    /** @return iterable<list<string|int>> rows of a table, its head first */
    public function rows(Widget $widget): iterable
    {
        yield ['day', 'page', 'width', ...Counts::KINDS];
        $query = DB::table('counted')->whereIn('widget_id', self::ids($widget))->orderBy('day')->orderBy('page')->orderBy('width')
            ->groupBy('day', 'page', 'width');
        foreach ($query->get(
            ['day', 'page', 'width', ...array_map(fn (string $kind) => DB::raw("SUM($kind) AS $kind"), Counts::KINDS)],
        ) as $row) {
            yield [Value::text($row->day), Value::text($row->page), Value::text($row->width), ...array_values(self::counts($row))];
        }
    }

    /** @return list<int> of the widget and of its forms */
    public static function ids(Widget $widget): array
    {
        return Value::wholes([$widget->id, ...Widget::query()->where('variant_of', $widget->id)->pluck('id')->all()]);
    }

    /**
     * @param  list<int>  $ids
     * @return list<array<string, mixed>> the most used first
     */
    private function entries(Widget $widget, array $ids, string $from): array
    {
        $rows = DB::table('counted_entries')->whereIn('widget_id', $ids)->where('day', '>=', $from)->groupBy('entry')
            ->orderByDesc(DB::raw('SUM(openings) + SUM(reads) + SUM(clicks)'))->limit(self::ENTRIES)
            ->get(['entry', DB::raw('SUM(openings) AS openings'), DB::raw('SUM(reads) AS reads'), DB::raw('SUM(clicks) AS clicks')]);
        // Of two that are called the same on pages, the one that is shown; else the later.
        $shown = DB::table('shown')->whereIn('widget_id', $ids)->select('entry_id');
        $refs = [];
        foreach (DB::table('entries')->where('site_id', $widget->site_id)->whereIn('card_ref', $rows->pluck('entry')->all())
            ->orderByRaw("id IN ({$shown->toSql()}) DESC", $shown->getBindings())->orderByDesc('id')->get(['card_ref', 'ref']) as $entry) {
            $refs[Value::text($entry->card_ref)] ??= Value::text($entry->ref);
        }
        $records = EntryRecord::ofRefs($widget->site, array_values($refs));
        $told = [];
        foreach ($rows as $row) {
            $ref = Value::text($row->entry);
            $entry = isset($refs[$ref]) ? ($records[$refs[$ref]] ?? null)?->toCore() : null;
            $told[] = [
                'ref' => $ref,
                'name' => $entry?->author->name,
                'says' => $entry === null ? null : mb_strimwidth((string) ($entry->title ?? $entry->text), 0, 120, '…'),
                'openings' => Value::whole($row->openings),
                'reads' => Value::whole($row->reads),
                'clicks' => Value::whole($row->clicks),
            ];
        }

        return $told;
    }

    /** @return array<string, int> */
    private static function counts(?object $row): array
    {
        $counts = [];
        foreach (Counts::KINDS as $kind) {
            $counts[$kind] = Value::whole($row->$kind ?? 0);
        }

        return $counts;
    }

    /**
     * @param  iterable<int, object>  $rows
     * @return array{firstAt: string|null, lastAt: string|null, narrowest: int|null, widest: int|null, errors: object}
     */
    private static function seen(iterable $rows): array
    {
        $rows = collect($rows);
        $time = fn (mixed $at): ?string => $at === null ? null : CarbonImmutable::parse(Value::text($at), 'UTC')->toRfc3339String();
        $narrowest = $rows->min('narrowest');
        $widest = $rows->max('widest');
        $errors = [];
        foreach ($rows as $row) {
            foreach ((array) json_decode(Value::text($row->errors ?? ''), true) as $error => $times) {
                $errors[$error] = ($errors[$error] ?? 0) + (is_int($times) ? $times : 0);
            }
        }

        return ['firstAt' => $time($rows->min('first_at')), 'lastAt' => $time($rows->max('last_at')),
            'narrowest' => Value::wholeOrNull($narrowest), 'widest' => Value::wholeOrNull($widest),
            'errors' => (object) $errors];
    }
}
