<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Site;
use App\Models\Widget;
use Carbon\CarbonImmutable;
use Gnomic\Edition\Plan\Cards;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A month of visitors of the invented observatory, as the web server would have written them down: weekends are busier than weekdays, and
 * the night of the shooting stars than both. The same whenever the demo is made, but for the days.
 */
final class DemoVisits
{
    private const DAYS = 29;

    /** Days ago, and how many times as many came. */
    private const NIGHT = [12 => 2.6, 11 => 1.7];

    /** Hours of the evening at which a day's visitors come; of the morning, few do. */
    private const HOURS = [8, 9, 11, 13, 14, 16, 17, 18, 19, 19, 20, 20, 21, 21, 22];

    /** Widths of windows, as often as they are met. */
    private const WIDTHS = [390, 390, 412, 360, 390, 414, 768, 820, 1180, 1280, 1440, 1180];

    /**
     * By path: visits a weekday, and of 100 of them how many see each widget, how many of those do something with it, and what, as often:
     * open an entry, read on, click to its source, or see everything.
     */
    private const PAGES = [
        '/' => [46, ['home3band0' => [71, 9, 'rrroce'], 'hill9strip' => [38, 3, 'ooc'], 'quill7mark' => [93, 4, 'eeer']]],
        '/visit' => [31, ['dome4visit' => [64, 14, 'rrroce']]],
        '/planetarium' => [17, ['harrow7talk' => [58, 11, 'rrrrc']]],
        '/about' => [12, ['dome8seal0' => [88, 2, 'e'], 'about1line' => [66, 4, 'c'], 'hill6wall0' => [49, 21, 'ooooc'],
            'about5sky0' => [55, 3, 'c'], 'hill9strip' => [31, 3, 'ooc'], 'quill7mark' => [92, 5, 'eeer']]],
        '/shop' => [22, ['shop2short' => [47, 8, 'rrc'], 'shop5rows0' => [35, 12, 'ooc'],
            'hill9strip' => [27, 2, 'ooc'], 'quill7mark' => [91, 3, 'eeer']]],
    ];

    private readonly Randomizer $chance;

    /** @var array<string, list<string>> by key of a widget, what names its entries on pages */
    private array $entries = [];

    public function __construct(private readonly Site $site)
    {
        $this->chance = new Randomizer(new Mt19937(1926));
    }

    /** @param  string  $folder  where the web server writes down beacons */
    public function write(string $folder, CarbonImmutable $now): void
    {
        foreach (Widget::query()->where('site_id', $this->site->id)->whereNull('variant_of')->pluck('id', 'key') as $key => $id) {
            $this->entries[(string) $key] = $this->entriesOf(Value::whole($id));
        }
        $lines = '';
        for ($ago = self::DAYS; $ago >= 1; $ago--) {
            $lines .= $this->day($now->setTimezone($this->site->timezone)->startOfDay()->subDays($ago), $ago);
        }
        if (! is_dir($folder)) {
            mkdir($folder, 0755, true);
        }
        file_put_contents("$folder/{$now->utc()->subDay()->format('Y-m-d\TH')}.log", $lines);
    }

    private function day(CarbonImmutable $day, int $ago): string
    {
        $busy = (self::NIGHT[$ago] ?? 1) * ($day->isWeekend() ? 1.7 : 1) * (1.15 - $ago / 100) * $this->chance->getInt(85, 115) / 100;
        $lines = '';
        foreach (self::PAGES as $path => [$visits, $widgets]) {
            for ($visit = (int) round($visits * $busy); $visit > 0; $visit--) {
                $at = $day->getTimestamp() + 3600 * $this->oneOf(self::HOURS) + $this->chance->getInt(0, 3599);
                $lines .= "$at.000 {$this->visit($path, $widgets)}\n";
            }
        }

        return $lines;
    }

    /** @param  array<string, array{int, int, string}>  $widgets */
    private function visit(string $path, array $widgets): string
    {
        $width = $this->oneOf(self::WIDTHS);
        $host = parse_url($this->site->front(), PHP_URL_HOST);
        $port = parse_url($this->site->front(), PHP_URL_PORT);
        $query = 'h='.rawurlencode($host.($port === null ? '' : ":$port")).'&p='.rawurlencode($path);
        foreach ($widgets as $key => [$seen, $used, $kinds]) {
            $isSeen = $this->happens($seen);
            $done = $isSeen && $this->happens($used) ? $this->done($key, $kinds) : null;
            [$sums, $entry] = $done ?? [[0, 0, 0], ''];
            $told = [$key, min($width, 1120), 1, (int) $isSeen, ...$sums, (int) ($done !== null), ''];
            $query .= '&d='.rawurlencode(implode('.', $told).$entry);
        }

        return $query;
    }

    /** @return array{array{int, int, int}, string} openings, reads and clicks, and of which entry */
    private function done(string $key, string $kinds): array
    {
        $kind = $kinds[$this->chance->getInt(0, strlen($kinds) - 1)];
        $sums = ['o' => [1, 0, 0], 'r' => [0, 1, 0], 'c' => [0, 0, 1], 'e' => [1, 0, 0]][$kind];
        $entries = $kind === 'e' ? [] : $this->entries[$key] ?? [];
        // The first are seen by most.
        $at = min($this->chance->getInt(0, 9), $this->chance->getInt(0, 9), count($entries) - 1);

        return [$sums, $at < 0 ? '' : '~'.implode('.', [$entries[$at], ...$sums])];
    }

    /** @return list<string> */
    private function entriesOf(int $widget): array
    {
        return array_values(DB::table('shown')->join('entries', 'entries.id', '=', 'shown.entry_id')
            ->where('shown.widget_id', $widget)->orderBy('entries.id')->limit(10)->get(['entries.source', 'entries.ref'])
            ->map(fn (object $row): string => Cards::refOf(Value::text($row->source), Value::text($row->ref)))->all());
    }

    private function happens(int $inHundred): bool
    {
        return $this->chance->getInt(1, 100) <= $inHundred;
    }

    /** @param  list<int>  $numbers */
    private function oneOf(array $numbers): int
    {
        return $numbers[$this->chance->getInt(0, count($numbers) - 1)];
    }
}
