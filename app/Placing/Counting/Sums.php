<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
use Gnomic\Place\Count\Beacon;
use Gnomic\Place\Count\BeaconVisit;
use Gnomic\Place\Count\Counts;
use Gnomic\Shape\WidthClass;
use Illuminate\Support\Facades\DB;

/**
 * Beacons added up by widget, page, day and width, until they are written.
 *
 * @phpstan-type Seen array{first: int, last: int, narrowest: int|null, widest: int|null, width: int, fault: string|null,
 *     errors: array<string, int>, told: list<array{int, int, bool}>}
 */
final class Sums
{
    /** Pages of a widget on a day that are told apart although nobody knows them; beyond them somebody makes them up. */
    private const MOST_PAGES = 500;

    /** Entries of a widget on a day. */
    private const MOST_ENTRIES = 500;

    public const OTHER_PAGES = '(other pages)';

    /** @var array<string, array<int, array<string, Counts>>> by key, quarter of an hour, and page with width */
    private array $counts = [];

    /** @var array<string, array<int, array<string, array{int, int, int}>>> by key, quarter of an hour, and entry */
    private array $entries = [];

    /** @var array<string, array<string, Seen>> by key and page */
    private array $sightings = [];

    public function add(Beacon $beacon): void
    {
        // Zones differ from each other by quarters of an hour.
        $quarter = intdiv($beacon->at, 900) * 900;
        foreach ($beacon->told as $told) {
            $place = "$beacon->host\n$beacon->path\n".self::class($told->width);
            $before = $this->counts[$told->key][$quarter][$place] ?? new Counts;
            $this->counts[$told->key][$quarter][$place] = $before->plus($told->counts);
            foreach ($told->entries as $entry => $of) {
                $sum = $this->entries[$told->key][$quarter][(string) $entry] ?? [0, 0, 0];
                $this->entries[$told->key][$quarter][(string) $entry] = [
                    $sum[0] + $of[0], $sum[1] + $of[1], $sum[2] + $of[2],
                ];
            }
            $this->see($beacon, $told);
        }
    }

    /** Within a transaction. Keys that nobody has are nobody's. */
    public function write(): void
    {
        $widgets = [];
        foreach (array_chunk(array_map(strval(...), array_keys($this->counts)), 500) as $keys) {
            $rows = DB::table('widgets')->join('sites', 'sites.id', '=', 'widgets.site_id')->whereIn('widgets.key', $keys)
                ->get(['widgets.id', 'widgets.key', 'widgets.site_id', 'sites.timezone', 'sites.counts', 'sites.website', 'sites.address',
                    'sites.allowed']);
            foreach ($rows as $row) {
                $widgets[Value::text($row->key)] = $row;
            }
        }
        $pages = [];
        foreach ($widgets as $key => $widget) {
            if ((bool) $widget->counts) {
                $site = Value::whole($widget->site_id);
                $pages[$site] ??= SitePages::of(
                    $site,
                    Value::textOrNull($widget->website) ?? 'https://'.Value::text($widget->address).'/',
                    Value::texts(json_decode(Value::textOrNull($widget->allowed) ?? '[]', true)),
                );
                $this->writeCounts(Value::whole($widget->id), $key, Value::text($widget->timezone), $pages[$site]);
            }
        }
    }

    private function writeCounts(int $id, string $key, string $zone, SitePages $site): void
    {
        $days = [];
        foreach ($this->counts[$key] as $quarter => $places) {
            $day = CarbonImmutable::createFromTimestamp($quarter, $zone)->format('Y-m-d');
            foreach ($places as $place => $counts) {
                [$host, $path, $width] = explode("\n", $place);
                $page = $site->name($host, $path);
                $days[$day]["$page\n$width"] = ($days[$day]["$page\n$width"] ?? new Counts)->plus($counts);
            }
        }
        foreach ($days as $day => $pages) {
            $there = DB::table('counted')->where('widget_id', $id)->where('day', $day)->distinct()->pluck('page')->flip()->all();
            $unknown = array_filter($there, fn (string|int $page): bool => ! $site->isKnown((string) $page), ARRAY_FILTER_USE_KEY);
            foreach ($pages as $place => $counts) {
                [$page, $width] = explode("\n", $place);
                if (! $site->isKnown($page) && ! isset($unknown[$page])) {
                    $page = count($unknown) >= self::MOST_PAGES ? self::OTHER_PAGES : $page;
                    $unknown[$page] = true;
                }
                self::plus('counted', ['widget_id' => $id, 'day' => $day, 'page' => $page, 'width' => $width], $counts->toArray());
            }
        }
        $this->writeEntries($id, $key, $zone);
        (new Sightings($id, $site))->write($this->sightings[$key] ?? []);
    }

    private function writeEntries(int $id, string $key, string $zone): void
    {
        foreach ($this->entries[$key] ?? [] as $quarter => $entries) {
            $day = CarbonImmutable::createFromTimestamp($quarter, $zone)->format('Y-m-d');
            $known = DB::table('counted_entries')->where('widget_id', $id)->where('day', $day)->pluck('entry')->flip()->all();
            foreach ($entries as $entry => [$openings, $reads, $clicks]) {
                if (isset($known[$entry]) || count($known) < self::MOST_ENTRIES) {
                    $known[$entry] = true;
                    self::plus(
                        'counted_entries',
                        ['widget_id' => $id, 'day' => $day, 'entry' => (string) $entry],
                        compact('openings', 'reads', 'clicks'),
                    );
                }
            }
        }
    }

    private function see(Beacon $beacon, BeaconVisit $told): void
    {
        $place = "$beacon->host\n$beacon->path";
        $seen = $this->sightings[$told->key][$place]
            ?? ['first' => $beacon->at, 'last' => $beacon->at, 'narrowest' => null, 'widest' => null, 'width' => 0, 'fault' => null,
                'errors' => [], 'told' => []];
        $seen['last'] = max($seen['last'], $beacon->at);
        $seen['width'] = $told->width;
        if ($told->width > 0) {
            $seen['narrowest'] = min($seen['narrowest'] ?? $told->width, $told->width);
            $seen['widest'] = max($seen['widest'] ?? 0, $told->width);
        }
        $seen['fault'] = $told->fault;
        $seen['told'][] = [$beacon->at, $told->width, $told->fault === 'hidden'];
        // A page that is left and come back to tells more than once of one time that it was opened.
        if ($told->fault !== null && $told->counts->shown > 0) {
            $seen['errors'][$told->fault] = ($seen['errors'][$told->fault] ?? 0) + 1;
        }
        $this->sightings[$told->key][$place] = $seen;
    }

    private static function class(int $width): string
    {
        return WidthClass::at($width)->value;
    }

    /**
     * @param  array<string, mixed>  $key
     * @param  array<string, int>  $counts
     */
    private static function plus(string $table, array $key, array $counts): void
    {
        DB::table($table)->upsert(
            [$key + $counts],
            array_keys($key),
            array_combine(
                array_keys($counts),
                array_map(fn (string $kind) => DB::raw("$table.$kind + excluded.$kind"), array_keys($counts)),
            ),
        );
    }
}
