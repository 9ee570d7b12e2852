<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Widget;
use App\Placing\Counting\BeaconFiles;
use App\Placing\Counting\CountBeacons;
use App\Placing\Counting\Sums;
use App\Placing\Counting\WidgetCounts;
use Gnomic\Brief\Brief;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;
use Tests\Effort;
use Tests\TestCase;

/** What visitors did is added up exactly: whoever sends it, and whoever is killed meanwhile. */
final class CountingTest extends TestCase
{
    private string $folder = '';

    private Widget $widget;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = getenv('GNOMIC_DATA').'/counting-beacons';
        exec('rm -rf '.escapeshellarg($this->folder));
        mkdir($this->folder, 0755, true);
        config(['gnomic.beacons' => $this->folder]);
        $site = $this->site();
        $site->update(['website' => 'https://quillmoor.example/', 'timezone' => 'Pacific/Auckland']);
        $this->widget = $site->widgets()->create(['key' => 'count1test', 'name' => 'Words', 'brief' => Brief::usual()->toArray()]);
    }

    private function write(string $lines, string $hour = '2026-11-27T08', ?int $written = null): void
    {
        file_put_contents("$this->folder/$hour.log", $lines, FILE_APPEND);
        touch("$this->folder/$hour.log", $written ?? time());
    }

    private static function beacon(string $told, string $path = '/visit', string $host = 'quillmoor.example', int $at = 1_795_767_087): string
    {
        return "$at.123 h=".urlencode($host).'&p='.urlencode($path)."&d=$told\n";
    }

    private function sum(string $kind): int
    {
        return (int) DB::table('counted')->sum($kind);
    }

    public function test_what_is_told_is_added_up(): void
    {
        $this->write(self::beacon('count1test.1152.1.1.2.3.4.1.~00ff00ff.2.3.4').self::beacon('count1test.390.1.0.0.0.0.0.').self::beacon('count1test.0.1.0.0.0.0.0.hidden', '/about'));
        self::assertSame(3, app(CountBeacons::class)->run());
        self::assertSame(0, app(CountBeacons::class)->run(), 'once');
        self::assertSame([3, 1, 2, 3, 4, 1], array_map($this->sum(...), ['shown', 'views', 'openings', 'reads', 'clicks', 'engaged']));
        // Nine in the morning of the 27th by the world's clock is the evening of the same day in Auckland.
        self::assertSame(['2026-11-27'], DB::table('counted')->distinct()->pluck('day')->all());
        self::assertSame(['desktop', 'phone'], DB::table('counted')->where('page', '/visit')->orderBy('width')->pluck('width')->all());
        self::assertSame(['00ff00ff', 2, 3, 4], array_values((array) DB::table('counted_entries')->first(['entry', 'openings', 'reads', 'clicks'])));
        $seen = DB::table('sightings')->where('page', '/visit')->first();
        self::assertSame([390, 1152], [(int) $seen?->narrowest, (int) $seen?->widest]);
        self::assertSame('{"hidden":1}', DB::table('sightings')->where('page', '/about')->value('errors'));
    }

    public function test_what_went_wrong_is_told_by_kind_and_once_for_each_time(): void
    {
        $this->travelTo('2026-11-27 08:30');
        $this->write(self::beacon('count1test.640.1.1.0.0.0.0.pictures').self::beacon('count1test.640.0.0.0.1.0.0.pictures')
            .self::beacon('count1test.0.1.0.0.0.0.0.narrow').self::beacon('count1test.0.1.0.0.0.0.0.hidden'));
        app(CountBeacons::class)->run();
        $seen = DB::table('sightings')->where('page', '/visit')->first(['errors', 'last_fault']);
        self::assertEquals(['pictures' => 1, 'narrow' => 1, 'hidden' => 1], json_decode((string) $seen?->errors, true));
        self::assertSame('hidden', $seen?->last_fault);
        $this->write(self::beacon('count1test.640.1.1.0.0.0.0.'));
        app(CountBeacons::class)->run();
        self::assertNull(DB::table('sightings')->where('page', '/visit')->value('last_fault'), 'it is well again');
        self::assertEquals(
            (object) ['pictures' => 1, 'narrow' => 1, 'hidden' => 1],
            app(WidgetCounts::class)->of($this->widget, 30)['pages'][0]['errors'] ?? null,
        );
    }

    public function test_days_begin_at_midnight_at_the_site(): void
    {
        // Midnight of the 28th in Auckland, in summer, is 11:00 of the 27th by the world's clock.
        $midnight = strtotime('2026-11-27T11:00:00Z') ?: 0;
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.', at: $midnight - 1).self::beacon('count1test.9.1.1.0.0.0.0.', at: $midnight));
        app(CountBeacons::class)->run();
        self::assertSame(['2026-11-27' => 1, '2026-11-28' => 1], DB::table('counted')->orderBy('day')->pluck('views', 'day')->map(fn (mixed $views): int => (int) $views)->all());
    }

    public function test_half_a_line_waits_for_its_end(): void
    {
        $line = self::beacon('count1test.9.1.1.0.0.0.0.');
        $this->write($line.substr($line, 0, 40));
        self::assertSame(1, app(CountBeacons::class)->run());
        $this->write(substr($line, 40));
        self::assertSame(1, app(CountBeacons::class)->run());
        self::assertSame(2, $this->sum('views'));
    }

    public function test_files_that_are_over_go_and_nothing_is_counted_again(): void
    {
        $over = time() - 700;
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'), '2020-01-01T00', $over);
        app(CountBeacons::class)->run();
        self::assertFileDoesNotExist("$this->folder/2020-01-01T00.log");
        self::assertSame(0, DB::table('counted_files')->count());
        // Somebody was killed between taking the file away and forgetting it; a new one of the name is a new one.
        DB::table('counted_files')->upsert([['name' => md5('another line'), 'offset' => 999]], ['name']);
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'), '2020-01-01T00', $over);
        app(CountBeacons::class)->run();
        self::assertSame(2, $this->sum('views'));
    }

    public function test_what_is_written_now_stays_whatever_its_name_says(): void
    {
        // A server names the hour by its own zone, or its clock was put back: the name says that it is over, and it is not.
        foreach (['2020-01-01T00', '2026-11-27T03', 'strange'] as $hour) {
            $this->write(self::beacon('count1test.9.1.1.0.0.0.0.', '/'.strlen($hour)).self::beacon('count1test.9.1.1.0.0.0.0.', "/$hour"), $hour);
        }
        app(CountBeacons::class)->run();
        foreach (['2020-01-01T00', '2026-11-27T03', 'strange'] as $hour) {
            $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'), $hour);
            self::assertStringContainsString("%2F$hour", (string) file_get_contents("$this->folder/$hour.log"));
        }
    }

    public function test_no_file_goes_while_anybody_writes_into_it(): void
    {
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'), '2020-01-01T00', time() - 7_200);
        $path = "$this->folder/2020-01-01T00.log";
        $writer = new Process(['php', '-r', '$f = fopen($argv[1], "a"); echo "open"; fgets(STDIN); fwrite($f, $argv[2]);', $path, self::beacon('count1test.9.1.1.0.0.0.0.', '/late')]);
        $input = new InputStream;
        $writer->setInput($input);
        $writer->start();
        $writer->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'open'));
        app(CountBeacons::class)->run();
        self::assertFileExists($path);
        $input->write("go\n");
        $input->close();
        $writer->wait();
        touch($path, time() - 7_200);
        app(CountBeacons::class)->run();
        self::assertFileDoesNotExist($path);
        self::assertSame(2, $this->sum('views'));
    }

    public function test_whoever_rotates_logs_loses_nothing_and_doubles_nothing(): void
    {
        $line = fn (int $at): string => self::beacon('count1test.9.1.1.0.0.0.0.', at: 1_795_767_000 + $at);
        $this->write($line(1).$line(2));
        app(CountBeacons::class)->run();
        // Renamed after more was written, and a new one begun.
        $this->write($line(3));
        rename("$this->folder/2026-11-27T08.log", "$this->folder/2026-11-27T08.log.1");
        $this->write($line(4));
        app(CountBeacons::class)->run();
        self::assertSame(4, $this->sum('views'));
        // Copied, and emptied.
        $this->write($line(5));
        copy("$this->folder/2026-11-27T08.log", "$this->folder/2026-11-27T08.log-20261127");
        file_put_contents("$this->folder/2026-11-27T08.log", '');
        $this->write($line(6));
        app(CountBeacons::class)->run();
        app(CountBeacons::class)->run();
        self::assertSame(6, $this->sum('views'));
    }

    public function test_a_folder_that_is_full_is_marked_and_told(): void
    {
        $files = new BeaconFiles($this->folder);
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'));
        self::assertTrue($files->mark(10));
        self::assertTrue($files->isFull());
        app(CountBeacons::class)->run();
        self::assertFalse($files->isFull(), 'it is looked at again whenever is counted');
    }

    public function test_a_beacon_counts_for_one_visit(): void
    {
        $this->write(str_repeat(self::beacon('count1test.640.1000.1000.0.0.0.1.'), 5).self::beacon('count1test.640.1.1.0.0.0.0.&d=count1test.640.1.1.0.0.0.0.').self::beacon('count1test.0.1.1.0.0.0.0.narrow'));
        app(CountBeacons::class)->run();
        self::assertSame([7, 6], [$this->sum('shown'), $this->sum('views')], 'what has no width is not seen');
    }

    public function test_pages_of_the_site_are_told_apart_however_many(): void
    {
        $rows = [];
        $lines = '';
        for ($number = 0; $number < 1_000; $number++) {
            $path = "/products/grün-$number";
            $rows[] = ['site_id' => $this->widget->site_id, 'address' => "https://quillmoor.example$path", 'digest' => md5($path), 'path' => $number % 2 === 0 ? $path : "/products/gr%C3%BCn-$number", 'branch' => 'products', 'found_by' => 'sitemap'];
            $lines .= self::beacon('count1test.640.1.1.0.0.0.0.', "/made-up/$number").self::beacon('count1test.640.1.1.0.0.0.0.', $path, $number % 3 === 0 ? 'www.quillmoor.example' : 'quillmoor.example');
        }
        DB::table('pages')->insert($rows);
        $this->write($lines);
        app(CountBeacons::class)->run();
        self::assertSame(1_000, DB::table('counted')->where('page', 'like', '/products/%')->distinct()->count('page'));
        self::assertSame(1_000, DB::table('sightings')->where('page', 'like', '/products/%')->count());
        self::assertLessThanOrEqual(300, DB::table('sightings')->where('page', 'like', '/made-up/%')->count());
    }

    public function test_of_hosts_that_the_site_does_not_name_the_host_is_kept_and_nothing_believed(): void
    {
        $this->widget->site->update(['allowed' => ['*.partner.example']]);
        foreach ([0, 1, 2] as $hour) {
            $this->write(self::beacon('count1test.0.1.0.0.0.0.0.hidden', '/x', 'evil.example', 1_795_767_087 + 3_600 * $hour).self::beacon('count1test.0.1.0.0.0.0.0.hidden', '/x', 'a.partner.example', 1_795_767_087 + 3_600 * $hour));
        }
        app(CountBeacons::class)->run();
        $hours = DB::table('sightings')->pluck('hours', 'page')->all();
        self::assertSame('{}', $hours['evil.example'] ?? null);
        self::assertCount(3, (array) json_decode((string) ($hours['a.partner.example/x'] ?? ''), true));
    }

    public function test_where_it_was_seen_a_month_ago_is_forgotten(): void
    {
        DB::table('sightings')->insert(['widget_id' => $this->widget->id, 'page' => '/old', 'first_at' => now()->subDays(40), 'last_at' => now()->subDays(31)]);
        app(CountBeacons::class)->run();
        self::assertSame(0, DB::table('sightings')->count());
    }

    public function test_nonsense_and_forgeries_are_bounded(): void
    {
        $lines = "garbage\n\0\0\n".str_repeat('x', 1_000_000)."\n".self::beacon('nobody0key.9.1.1.0.0.0.0.');
        for ($number = 0; $number < 3_000; $number++) {
            $lines .= self::beacon('key'.$number.'x.9.1.1.0.0.0.0.').self::beacon('count1test.9.1.1.0.0.0.0.~'.sprintf('%08x', $number).'.1.0.0', "/made-up/$number");
        }
        $this->write($lines);
        app(CountBeacons::class)->run();
        self::assertSame(3_000, $this->sum('views'), 'keys of nobody are nobody’s');
        self::assertLessThanOrEqual(501, DB::table('counted')->distinct()->count('page'));
        self::assertGreaterThan(2_000, (int) DB::table('counted')->where('page', Sums::OTHER_PAGES)->sum('views'));
        self::assertLessThanOrEqual(500, DB::table('counted_entries')->count());
        self::assertLessThanOrEqual(500, DB::table('sightings')->count());
    }

    public function test_a_million_keys_are_harmless(): void
    {
        $file = fopen("$this->folder/2026-11-27T09.log", 'w') ?: self::fail('no file');
        $keys = Effort::of(100_000, 1_000_000);
        for ($number = 0; $number < $keys; $number += 40) {
            $told = '';
            for ($one = 0; $one < 40; $one++) {
                $told .= '&d=k'.($number + $one).'z.1.1.1.0.0.0.0.';
            }
            fwrite($file, "1795767087.1 h=a.example&p=/$told\n");
        }
        fclose($file);
        $before = memory_get_usage();
        self::assertSame(intdiv($keys, 40), app(CountBeacons::class)->run());
        self::assertSame(0, DB::table('counted')->count());
        self::assertLessThan(200_000_000, memory_get_peak_usage() - $before);
    }

    public function test_nothing_is_counted_where_the_owner_says_so(): void
    {
        $this->widget->site->update(['counts' => false]);
        $this->write(self::beacon('count1test.9.1.1.0.0.0.0.'));
        app(CountBeacons::class)->run();
        self::assertSame(0, $this->sum('views'));
    }
}
