<?php

declare(strict_types=1);

namespace Tests\app;

use PDO;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Exception\LogicException;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Tests\Effort;

/** kill -9 in the middle of an import and of a round: nothing of it was applied; run again, the counts are right. */
final class KilledTest extends TestCase
{
    private string $data = '';

    protected function setUp(): void
    {
        $this->data = (string) getenv('GNOMIC_DATA').'/killed';
        exec('rm -rf '.escapeshellarg($this->data));
        foreach ([
            'w',
            'storage/app/imports',
            'storage/logs',
            'storage/framework/cache/data',
            'storage/framework/views',
            'storage/framework/sessions',
        ] as $folder) {
            mkdir("$this->data/$folder", 0755, true);
        }
        file_put_contents(
            "$this->data/.env",
            "APP_KEY=base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=\nAPP_ENV=production\nGNOMIC_PRIVATE_HOSTS=127.0.0.1:"
                .$this->port()."\n",
        );
        touch("$this->data/gnomic.sqlite");
        $this->php('artisan', 'migrate', '--force', '--quiet')->mustRun();
        $this->php(
            'artisan',
            'gnomic:owner',
            'owner@quillmoor.example',
            '--site=Quillmoor',
            '--address=quillmoor.example',
        )->setInput("a long password\n")->run();
        $this->sql("INSERT OR IGNORE INTO sites (id, name, address, timezone) VALUES (1, 'Quillmoor', 'quillmoor.example', 'UTC')");
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->data));
    }

    private function port(): int
    {
        static $port = 0;
        if ($port === 0) {
            $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('no port');
            $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
            fclose($socket);
        }

        return $port;
    }

    private function php(string ...$arguments): Process
    {
        $unset = [
            'APP_ENV' => false,
            'DB_DATABASE' => false,
            'CACHE_STORE' => false,
            'QUEUE_CONNECTION' => false,
            'SESSION_DRIVER' => false,
            'APP_URL' => false,
            'APP_KEY' => false,
        ];

        return new Process([PHP_BINARY, ...$arguments], dirname(__DIR__, 2), ['GNOMIC_DATA' => $this->data] + $unset, null, 120);
    }

    /** @phpstan-impure another process changes what it finds */
    private function sql(string $sql): mixed
    {
        $database = new PDO("sqlite:$this->data/gnomic.sqlite");
        $database->exec('PRAGMA busy_timeout = 10000');

        $found = $database->query($sql);

        return $found === false ? null : $found->fetchColumn();
    }

    /** Kills the process without warning once the work is under way, judged by what it tells of its progress. */
    private function kill(Process $process, callable $isUnderWay): void
    {
        $process->start();
        for ($try = 0; $try < 3_000 && ! $isUnderWay() && $process->isRunning(); $try++) {
            usleep(5_000);
        }
        self::assertTrue($process->isRunning(), 'it was killed before its end: '.$process->getOutput().$process->getErrorOutput());
        $process->signal(9);
        while ($process->isRunning()) {
            usleep(5_000);
        }
    }

    public function test_an_import(): void
    {
        $count = Effort::of(700, 3_000);
        $rows = implode(
            "\n",
            array_map(
                fn (int $number): string => "P $number,Gazette,2026-01-01,4,\"Visit number $number was nothing like the one before, "
                    ."and we counted $number lamps on the way.\"",
                range(1, $count),
            ),
        );
        file_put_contents("$this->data/storage/app/imports/1.table", "author,said at,date,rating,text\n$rows\n");
        $this->sql(
            "INSERT INTO imports (id, site_id, kind, name, state, created_at, updated_at) VALUES (1, 1, 'entries', 'past.csv', "
                ."'looking', '2026-01-01', '2026-01-01')",
        );
        $job = fn (string $class): Process => $this->php(
            '-r',
            'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; '
                .'$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $app->call([new '
                .$class.'(1), "handle"]);',
        );
        // Through the queue, as the worker takes it.
        $work = fn (): Process => $this->php('artisan', 'queue:work', '--queue=imports', '--stop-when-empty', '--tries=1', '--sleep=0');
        $mend = fn (): Process => $this->php(
            '-r',
            'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; '
                .'$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); '
                .'echo $app->make(App\Sources\Imports\BrokenOff::class)->mend();',
        );
        $state = fn (): string => (string) $this->sql('SELECT state FROM imports');
        self::assertSame('1', $mend()->mustRun()->getOutput(), 'silent for long: nobody is at it');
        $this->kill($work(), fn (): bool => (int) @file_get_contents("$this->data/storage/app/imports/1.table.done") >= 300);
        self::assertSame('looking', $state());
        self::assertSame('0', $mend()->mustRun()->getOutput(), 'not at once');
        $this->sql("UPDATE imports SET updated_at = datetime('now', '-31 seconds')");
        self::assertSame('1', $mend()->mustRun()->getOutput());
        $work()->mustRun();
        self::assertSame('ready', $state());
        // What the killed one left in the queue is found to be dead long after, and changes nothing.
        $this->sql('UPDATE jobs SET reserved_at = 1');
        $work()->mustRun();
        self::assertSame([0, 'ready'], [(int) $this->sql('SELECT COUNT(*) FROM jobs'), $state()]);
        $this->sql("UPDATE imports SET state = 'importing', tries = 0");
        @unlink("$this->data/storage/app/imports/1.table.done");
        $this->kill(
            $job('App\Sources\Imports\ApplyTable'),
            fn (): bool => (int) @file_get_contents("$this->data/storage/app/imports/1.table.done") >= 500,
        );
        self::assertSame(
            [0, 0, 0, 'importing'],
            [
                (int) $this->sql('SELECT COUNT(*) FROM entries'),
                (int) $this->sql('SELECT COUNT(*) FROM sources'),
                (int) $this->sql('SELECT COUNT(*) FROM bands'),
                $this->sql('SELECT state FROM imports'),
            ],
        );

        $this->sql("UPDATE imports SET updated_at = datetime('now', '-31 seconds')");
        self::assertSame('1', $mend()->mustRun()->getOutput());
        $work()->mustRun();
        self::assertSame(
            [$count, 1, 'done'],
            [
                (int) $this->sql('SELECT COUNT(*) FROM entries'),
                (int) $this->sql('SELECT COUNT(*) FROM sources'),
                $this->sql('SELECT state FROM imports'),
            ],
        );
        self::assertSame($count, (int) $this->sql('SELECT COUNT(DISTINCT source_entry_id) FROM entries'));
        self::assertSame('ok', $this->sql('PRAGMA integrity_check'));
    }

    /** Starts a server with a feed of so many items, and connects it. */
    private function feedOf(int $items): Process
    {
        $this->writeFeed($items);
        file_put_contents("$this->data/feed.php", '<?php header("Content-Type: application/rss+xml"); echo file_get_contents(__DIR__."/feed.xml");');
        $server = new Process([PHP_BINARY, '-S', '127.0.0.1:'.$this->port(), "$this->data/feed.php"]);
        $server->start();
        for ($try = 0; $try < 100 && @fsockopen('127.0.0.1', $this->port()) === false; $try++) {
            usleep(50_000);
        }
        $this->sql(
            "INSERT INTO sources (id, site_id, key, name, channel, address, cadence, next_at) VALUES (1, 1, 'feed', 'Feed', 'feed', "
                ."'http://127.0.0.1:".$this->port()."/', 3600, '2026-01-01')",
        );

        return $server;
    }

    private function writeFeed(int $items): void
    {
        $all = implode('', array_map(
            fn (int $number): string => "<item><guid>p$number</guid><title>Post number $number</title><description>Words of number "
                ."$number, which is like no other in the feed.</description></item>",
            range(1, $items),
        ));
        file_put_contents("$this->data/feed.xml", "<rss version=\"2.0\"><channel><title>T</title>$all</channel></rss>");
    }

    /**
     * A round and what follows from it, killed at a query: the last that it makes, or before.
     *
     * @return int how many queries there were
     */
    private function roundKilledAt(int $query): int
    {
        $process = $this->php('-r', 'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; '
            .'$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $count = 0; '
            .'$step = function () use (&$count) { if (++$count === '.$query.') { posix_kill(getmypid(), SIGKILL); } }; '
            .'Illuminate\Support\Facades\DB::listen($step); '
            .'Illuminate\Support\Facades\Event::listen(Illuminate\Database\Events\TransactionCommitted::class, $step); '
            .'$app->make(App\Sources\Rounds\Rounds::class)->run(App\Models\Source::find(1)); $app->make(App\Outbox\Renders::class)->workOff(1); echo $count;');
        try {
            $process->run();
        } catch (ProcessSignaledException) {
            return 0; // as it was meant
        }

        return (int) $process->getOutput();
    }

    /** What the scheduler does within a minute, whoever died. */
    private function goOn(): void
    {
        $this->php('-r', 'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; '
            .'$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $app->make(App\Editions\Pointers::class)->mend(true); '
            .'$app->make(App\Outbox\Renders::class)->workOff(1);')->mustRun();
    }

    public function test_a_kill_at_any_step_between_reading_and_pointing(): void
    {
        $server = $this->feedOf(3);
        $this->php('artisan', 'gnomic:round', 'feed')->mustRun();
        $this->sql("INSERT INTO widgets (id, site_id, key, name, brief, created_at, updated_at) VALUES (1, 1, 'killed1234', 'W', '{\"version\":2,\"sift\":{\"limit\":100}}', "
            ."'2026-01-01', '2026-01-01')");
        $this->php('artisan', 'gnomic:publish', 'killed1234')->mustRun();
        $this->writeFeed(4);
        $steps = $this->roundKilledAt(0);
        self::assertGreaterThan(40, $steps);
        $items = 4;
        foreach ([...range(3, $steps, Effort::of(30, 4)), $steps - 1, $steps] as $step) {
            $this->writeFeed(++$items);
            $this->roundKilledAt($step);
            $this->assertWhole("killed at $step");
            $this->goOn();
            // Whatever was told to be changed is out, and nothing else is.
            $this->assertWhole("going on after $step");
            $entries = (int) $this->sql('SELECT COUNT(*) FROM entries');
            self::assertContains($entries, [$items - 1, $items], "killed at $step");
            self::assertSame($entries, substr_count($this->out('feed.json'), '"id":'), "killed at $step: what is out is what there is");
            self::assertSame(0, (int) $this->sql('SELECT COUNT(*) FROM outbox'));
            $this->php('artisan', 'gnomic:round', 'feed')->mustRun();
            self::assertSame([$items, $items], [(int) $this->sql('SELECT COUNT(*) FROM entries'), substr_count($this->out('feed.json'), '"id":')]);
        }
        $server->stop();
        self::assertSame($items, (int) $this->sql('SELECT COUNT(DISTINCT source_entry_id) FROM entries'));
        self::assertSame('ok', $this->sql('PRAGMA integrity_check'));
        self::assertSame([], glob("$this->data/w/killed1234/.[!.]*") ?: [], 'nothing half made is left');
        self::assertLessThanOrEqual(11, count(glob("$this->data/w/killed1234/*") ?: []), 'the last ten, and the pointer');
    }

    private function out(string $name): string
    {
        clearstatcache(true);

        return (string) file_get_contents("$this->data/w/killed1234/current/$name");
    }

    /** What visitors get is never blank and never half. */
    private function assertWhole(string $when): void
    {
        self::assertStringContainsString('</template>', $this->out('widget.html'), $when);
        self::assertSame($this->out('widget.html'), gzdecode($this->out('widget.html.gz')), $when);
        self::assertIsArray(json_decode($this->out('feed.json'), true)['items'] ?? null, $when);
    }

    public function test_a_round(): void
    {
        $count = Effort::of(1_000, 4_000);
        $server = $this->feedOf($count);
        // The round has told what it read, and is writing it.
        $this->kill(
            $this->php('artisan', 'gnomic:round', 'feed'),
            fn (): bool => (int) $this->sql('SELECT MAX(received) FROM rounds') > 0,
        );
        self::assertSame(0, (int) $this->sql('SELECT COUNT(*) FROM entries'));
        $this->php('artisan', 'gnomic:round', 'feed')->mustRun();
        $server->stop();
        self::assertSame(
            [$count, $count],
            [(int) $this->sql('SELECT COUNT(*) FROM entries'), (int) $this->sql('SELECT COUNT(DISTINCT source_entry_id) FROM entries')],
        );
        self::assertSame(1, (int) $this->sql("SELECT COUNT(*) FROM rounds WHERE outcome = 'failed' AND reason LIKE 'It was interrupted%'"));
        self::assertSame(1, (int) $this->sql("SELECT COUNT(*) FROM rounds WHERE outcome = 'changed' AND added = $count"));
    }

    /** A hundred times, at whatever it is just doing, while more is being written: every view is counted, and none twice. */
    public function test_counting(): void
    {
        $this->sql("INSERT INTO widgets (id, site_id, key, name, brief) VALUES (1, 1, 'count1test', 'Words', '{\"version\":3}')");
        $folder = "$this->data/run/beacons";
        mkdir($folder, 0755, true);
        $written = $killed = $times = 0;
        $chance = new Randomizer(new Mt19937(11));
        $longest = 500_000;
        $kills = Effort::of(5, 100);
        $line = fn (int $number): string => '1795767087.1 h=quillmoor.example&p=/page-'.($number % 50).'&d=count1test.9.1.1.1.0.0.1.~0000000'
            .($number % 9).".1.0.0\n";
        for ($time = 0; $killed < $kills; $time = ++$times) {
            // Files of hours that are over are taken away by who reads them.
            $name = $time % 4 === 0 ? sprintf('2020-01-%02dT%02d', 1 + intdiv($time, 24) % 28, $time % 24) : '2099-01-01T00';
            $lines = '';
            for ($number = 0; $number < 400; $number++) {
                $lines .= $line($written++);
            }
            file_put_contents("$folder/$name.log", $lines, FILE_APPEND);
            $process = $this->php('artisan', 'gnomic:count');
            $process->start();
            // From its first moment to its last: whatever the machine, later ones are tried until one has been too late.
            usleep($chance->getInt(0, $longest));
            if ($this->isKilled($process)) {
                $killed++;
                $longest = (int) (1.05 * $longest);
            } else {
                $longest = (int) (0.8 * $longest);
            }
            while ($process->isRunning()) {
                usleep(1_000);
            }
        }
        $this->php('artisan', 'gnomic:count')->mustRun();
        // Nobody has written into them for a while.
        array_map(fn (string $file): bool => touch($file, time() - 3_600), glob("$folder/2020-*") ?: []);
        $this->php('artisan', 'gnomic:count')->mustRun();
        self::assertSame(400 * $times, $written);
        foreach (['shown', 'views', 'openings', 'engaged'] as $kind) {
            self::assertSame($written, (int) $this->sql("SELECT SUM($kind) FROM counted"), $kind);
        }
        self::assertSame($written, (int) $this->sql('SELECT SUM(openings) FROM counted_entries'));
        self::assertSame([], glob("$folder/2020-*") ?: []);
    }

    /** Whether it still ran: it may end at any moment, and between the question and the signal. */
    private function isKilled(Process $process): bool
    {
        try {
            $process->signal(9);

            return true;
        } catch (LogicException) {
            return false;
        }
    }
}
