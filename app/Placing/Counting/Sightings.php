<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
use Gnomic\Place\Check\Evidence;
use Illuminate\Support\Facades\DB;

/**
 * Where a widget said that it was, and how: evidence that fetching a page cannot give. Pages that Gnomic knows are always kept; of others
 * a bounded number, those that were seen last.
 *
 * @phpstan-import-type Seen from Sums
 */
final class Sightings
{
    private const MOST_UNKNOWN = 300;

    /** @var array<string, object> by page */
    private array $known;

    public function __construct(private readonly int $widget, private readonly SitePages $site)
    {
        $this->known = [];
        foreach (DB::table('sightings')->where('widget_id', $widget)->orderBy('last_at')->get() as $row) {
            $this->known[Value::text($row->page)] = $row;
        }
    }

    /** @param  array<string, Seen>  $sightings  by host and path */
    public function write(array $sightings): void
    {
        foreach ($sightings as $place => $seen) {
            [$host, $path] = explode("\n", $place);
            $page = $this->site->name($host, $path);
            $row = $this->row($page, $seen, $this->known[$page] ?? null);
            unset($this->known[$page]);
            $this->known[$page] = (object) $row;
        }
        $unknown = array_filter(array_keys($this->known), fn (string|int $page): bool => ! $this->site->isKnown((string) $page));
        $gone = array_slice(array_values($unknown), 0, max(0, count($unknown) - self::MOST_UNKNOWN));
        foreach ($sightings as $place => $seen) {
            [$host, $path] = explode("\n", $place);
            $page = $this->site->name($host, $path);
            $row = (array) $this->known[$page];
            DB::table('sightings')->upsert([$row], ['widget_id', 'page'], array_diff(array_keys($row), ['widget_id', 'page', 'first_at']));
        }
        foreach (array_chunk($gone, 500) as $pages) {
            DB::table('sightings')->where('widget_id', $this->widget)->whereIn('page', $pages)->delete();
        }
    }

    /**
     * @param  Seen  $seen
     * @return array<string, mixed>
     */
    private function row(string $page, array $seen, ?object $before): array
    {
        $errors = $before === null ? [] : (array) json_decode(Value::text($before->errors ?? '{}'), true);
        foreach ($seen['errors'] as $error => $times) {
            $errors[$error] = Value::whole($errors[$error] ?? 0) + $times;
        }
        $known = fn (mixed $width): bool => $width !== null;
        $widths = array_filter([Value::wholeOrNull($before->narrowest ?? null), $seen['narrowest']], $known);
        $wides = array_filter([Value::wholeOrNull($before->widest ?? null), $seen['widest']], $known);
        $evidence = Evidence::of(json_decode(Value::textOrNull($before->hours ?? null) ?? '{}', true));
        // Of a host that the site does not name, nothing is believed.
        foreach ($this->site->isOwn($page) ? $seen['told'] : [] as [$at, $width, $isHidden]) {
            $evidence = $evidence->plus($at, $width, $isHidden);
        }

        return [
            'widget_id' => $this->widget,
            'page' => $page,
            'first_at' => $before->first_at ?? CarbonImmutable::createFromTimestamp($seen['first'])->toDateTimeString(),
            'last_at' => CarbonImmutable::createFromTimestamp($seen['last'])->toDateTimeString(),
            'narrowest' => $widths === [] ? null : min($widths),
            'widest' => $wides === [] ? null : max($wides),
            'last_width' => $seen['width'],
            'last_fault' => $seen['fault'],
            'errors' => json_encode((object) $errors, JSON_THROW_ON_ERROR),
            'hours' => json_encode((object) $evidence->toArray(), JSON_THROW_ON_ERROR),
        ];
    }
}
