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
 *     errors: array<string, int>}
 */
final class Sums
{
    /** Pages of a widget on a day that are told apart; beyond them somebody makes them up. */
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
                ->get(['widgets.id', 'widgets.key', 'sites.timezone', 'sites.counts', 'sites.website', 'sites.address']);
            foreach ($rows as $row) {
                $widgets[Value::text($row->key)] = $row;
            }
        }
        foreach ($widgets as $key => $widget) {
            if ((bool) $widget->counts) {
                $this->writeCounts(
                    Value::whole($widget->id),
                    $key,
                    Value::text($widget->timezone),
                    self::hostOf(Value::textOrNull($widget->website) ?? 'https://'.Value::text($widget->address).'/'),
                );
            }
        }
    }

    private function writeCounts(int $id, string $key, string $zone, string $own): void
    {
        $days = [];
        foreach ($this->counts[$key] as $quarter => $places) {
            $day = CarbonImmutable::createFromTimestamp($quarter, $zone)->format('Y-m-d');
            foreach ($places as $place => $counts) {
                [$host, $path, $width] = explode("\n", $place);
                $page = self::page($host, $path, $own);
                $days[$day]["$page\n$width"] = ($days[$day]["$page\n$width"] ?? new Counts)->plus($counts);
            }
        }
        foreach ($days as $day => $pages) {
            $known = DB::table('counted')->where('widget_id', $id)->where('day', $day)->distinct()->pluck('page')->flip()->all();
            foreach ($pages as $place => $counts) {
                [$page, $width] = explode("\n", $place);
                if (! isset($known[$page])) {
                    $page = count($known) >= self::MOST_PAGES ? self::OTHER_PAGES : $page;
                    $known[$page] = true;
                }
                self::plus('counted', ['widget_id' => $id, 'day' => $day, 'page' => $page, 'width' => $width], $counts->toArray());
            }
        }
        $this->writeEntries($id, $key, $zone);
        $this->writeSightings($id, $key, $own);
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

    private function writeSightings(int $id, string $key, string $own): void
    {
        $known = DB::table('sightings')->where('widget_id', $id)->get()->keyBy('page')->all();
        foreach ($this->sightings[$key] ?? [] as $place => $seen) {
            [$host, $path] = explode("\n", $place);
            $page = self::page($host, $path, $own);
            $before = $known[$page] ?? null;
            if ($before === null && count($known) >= self::MOST_PAGES) {
                continue;
            }
            $errors = $before === null ? [] : (array) json_decode(Value::text($before->errors), true);
            foreach ($seen['errors'] as $error => $times) {
                $errors[$error] = Value::whole($errors[$error] ?? 0) + $times;
            }
            $widths = array_filter(
                [$before?->narrowest, $seen['narrowest']],
                fn (mixed $width): bool => $width !== null,
            );
            $wides = array_filter([$before?->widest, $seen['widest']], fn (mixed $width): bool => $width !== null);
            $row = [
                'widget_id' => $id,
                'page' => $page,
                'first_at' => $before->first_at ?? CarbonImmutable::createFromTimestamp($seen['first'])->toDateTimeString(),
                'last_at' => CarbonImmutable::createFromTimestamp($seen['last'])->toDateTimeString(),
                'narrowest' => $widths === [] ? null : min($widths),
                'widest' => $wides === [] ? null : max($wides),
                'last_width' => $seen['width'],
                'last_fault' => $seen['fault'],
                'errors' => json_encode((object) $errors, JSON_THROW_ON_ERROR),
            ];
            $new = ['last_at', 'narrowest', 'widest', 'last_width', 'last_fault', 'errors'];
            DB::table('sightings')->upsert([$row], ['widget_id', 'page'], $new);
            $known[$page] = (object) $row;
        }
    }

    private function see(Beacon $beacon, BeaconVisit $told): void
    {
        $place = "$beacon->host\n$beacon->path";
        $seen = $this->sightings[$told->key][$place]
            ?? ['first' => $beacon->at, 'last' => $beacon->at, 'narrowest' => null, 'widest' => null, 'width' => 0, 'fault' => null,
                'errors' => []];
        $seen['last'] = max($seen['last'], $beacon->at);
        $seen['width'] = $told->width;
        if ($told->width > 0) {
            $seen['narrowest'] = min($seen['narrowest'] ?? $told->width, $told->width);
            $seen['widest'] = max($seen['widest'] ?? 0, $told->width);
        }
        $seen['fault'] = $told->fault;
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

    /** Pages of the site's own are known by their path; others by their host, too. */
    private static function page(string $host, string $path, string $own): string
    {
        return mb_strcut($host === $own ? $path : $host.$path, 0, 300);
    }

    private static function hostOf(string $front): string
    {
        $parts = parse_url($front);

        return strtolower(($parts['host'] ?? '').(isset($parts['port']) ? ":{$parts['port']}" : ''));
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
