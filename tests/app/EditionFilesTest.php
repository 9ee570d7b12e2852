<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\EditionFiles;
use App\Editions\Rendering;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;

final class EditionFilesTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/gnomic-editions-'.bin2hex(random_bytes(4));
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    private function rendering(string $words): Rendering
    {
        return new Rendering("<p>$words</p>", "<html>$words</html>", '{"items":[]}');
    }

    public function test_a_pointer_moves_and_comes_back(): void
    {
        $files = new EditionFiles($this->folder);
        [$one, $two] = [$this->rendering('one'), $this->rendering('two')];
        foreach ([$one, $two, $one] as $step => $rendering) {
            $files->write('k3yk3y', $rendering);
            $files->point('k3yk3y', $rendering->hash(), 1_700_000_000 + $step);
            clearstatcache(true); // PHP remembers where a link led
            self::assertSame($rendering->fragment, file_get_contents("$this->folder/k3yk3y/current/widget.html"));
            self::assertSame(1_700_000_000 + $step, filemtime("$this->folder/k3yk3y/current/widget.html"));
        }
        self::assertSame($two->document, $files->read('k3yk3y', $two->hash(), 'document.html'));
        self::assertNull($files->read('k3yk3y', 'nothing', 'document.html'));
        self::assertSame([], glob("$this->folder/k3yk3y/.*[!.]") ?: [], 'nothing half made is left');
    }

    public function test_the_same_content_has_the_same_name(): void
    {
        self::assertSame($this->rendering('a')->hash(), $this->rendering('a')->hash());
        self::assertNotSame($this->rendering('a')->hash(), $this->rendering('b')->hash());
    }

    public function test_two_workers_writing_at_once_end_with_one_whole_edition(): void
    {
        $script = 'require $argv[1]; $f = new App\Editions\EditionFiles($argv[2]); for ($i = 0; $i < 20; $i++) { $r = new '
            .'App\Editions\Rendering("<p>$i</p>", "d$i", "{}"); $f->write("k3yk3y", $r); $f->point("k3yk3y", $r->hash(), time()); }';
        $workers = array_map(
            fn (): Process => new Process([PHP_BINARY, '-r', $script, dirname(__DIR__, 2).'/vendor/autoload.php', $this->folder]),
            range(1, 3),
        );
        foreach ($workers as $worker) {
            $worker->start();
        }
        $seen = 0;
        while (array_filter($workers, fn (Process $worker): bool => $worker->isRunning()) !== []) {
            clearstatcache(true);
            $fragment = @file_get_contents("$this->folder/k3yk3y/current/widget.html");
            if ($fragment !== false) {
                self::assertMatchesRegularExpression('~^<p>\d+</p>$~', $fragment, 'always whole');
                $seen++;
            }
        }
        foreach ($workers as $worker) {
            self::assertSame(0, $worker->getExitCode(), $worker->getErrorOutput());
        }
        self::assertGreaterThan(0, $seen);
        clearstatcache(true);
        self::assertSame('<p>19</p>', file_get_contents("$this->folder/k3yk3y/current/widget.html"));
        self::assertCount(20, glob("$this->folder/k3yk3y/????????????????") ?: []);
        self::assertSame([], glob("$this->folder/k3yk3y/.*[!.]") ?: [], 'nothing half made is left');
    }

    public function test_a_folder_that_cannot_be_written_is_told(): void
    {
        touch($this->folder);
        $this->expectException(RuntimeException::class);
        (new EditionFiles($this->folder))->write('k3yk3y', $this->rendering('x'));
    }
}
