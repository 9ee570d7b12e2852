<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\EditionFiles;
use App\Editions\EditionNotWritten;
use App\Editions\Rendering;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\ExecutableFinder;
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
        return new Rendering("<p>$words</p>", "<html>$words</html>", ['feed.json' => '{"items":[]}']);
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
            .'App\Editions\Rendering("<p>$i</p>", "d$i", ["feed.json" => "{}"]); $f->write("k3yk3y", $r); $f->point("k3yk3y", $r->hash(), time()); }';
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

    /** A disk without room, by the system's bound on how long a file may be; brotli is ended by it, PHP writes less than it was given. */
    public function test_on_a_full_disk_what_is_out_stays_out(): void
    {
        $files = new EditionFiles($this->folder);
        $files->write('k3yk3y', $this->rendering('small'));
        $files->point('k3yk3y', $this->rendering('small')->hash(), 1_700_000_000);
        $words = implode(' ', array_map(fn (int $number): string => hash('sha256', (string) $number), range(1, 2_000)));
        $script = 'require $argv[1]; $f = new App\Editions\EditionFiles($argv[2]); $w = file_get_contents($argv[3]); '
            .'$r = new App\Editions\Rendering("<p>$w</p>", "d", ["feed.json" => "{}"]); try { $f->write("k3yk3y", $r); $f->point("k3yk3y", $r->hash(), time()); } '
            .'catch (App\Editions\EditionNotWritten $e) { echo $e->getMessage(); exit(3); }';
        file_put_contents("$this->folder/words", $words);
        // In blocks of 1,024 bytes: too few for any file, for the one itself, and enough.
        foreach ([4 => 3, 120 => 3, 4_000 => 0] as $blocks => $status) {
            $limited = new Process(['bash', '-c', "ulimit -f $blocks; trap '' XFSZ; exec \"\$@\"", 'x', PHP_BINARY, '-r', $script,
                dirname(__DIR__, 2).'/vendor/autoload.php', $this->folder, "$this->folder/words"]);
            $limited->run();
            self::assertSame($status, $limited->getExitCode(), "$blocks: ".$limited->getOutput().$limited->getErrorOutput());
            clearstatcache(true);
            $current = "$this->folder/k3yk3y/current/widget.html";
            self::assertSame($status === 0 ? "<p>$words</p>" : '<p>small</p>', file_get_contents($current));
            self::assertGreaterThan(0, filesize("$current.br"));
            self::assertSame([], glob("$this->folder/k3yk3y/.[!.]*") ?: [], 'nothing half made is left');
        }
    }

    public function test_what_brotli_could_not_write_is_no_edition(): void
    {
        $real = (new ExecutableFinder)->find('brotli') ?? self::fail('brotli is missing');
        mkdir("$this->folder/bin", 0755, true);
        // As on a disk that fills up while it writes: there is a file, it holds nothing, and nobody has said so.
        file_put_contents("$this->folder/bin/brotli", "#!/bin/sh\ncase \"\$1\" in --test) exec $real \"\$@\" ;; esac\nfor f in *.html *.json; do : >\"\$f.br\"; done\n");
        chmod("$this->folder/bin/brotli", 0755);
        $path = (string) getenv('PATH');
        putenv("PATH=$this->folder/bin:$path");
        try {
            (new EditionFiles($this->folder))->write('k3yk3y', $this->rendering('x'));
            self::fail('It was taken for whole.');
        } catch (EditionNotWritten $wrong) {
            self::assertStringContainsString('What is out stays out', $wrong->getMessage());
        } finally {
            putenv("PATH=$path");
        }
        self::assertSame([], glob("$this->folder/k3yk3y/{,.}[!.]*", GLOB_BRACE) ?: []);
    }

    public function test_an_edition_that_is_not_whole_is_made_again(): void
    {
        $files = new EditionFiles($this->folder);
        $rendering = $this->rendering('one');
        $files->write('k3yk3y', $rendering);
        $folder = "$this->folder/k3yk3y/{$rendering->hash()}";
        self::assertTrue($files->isSound('k3yk3y', $rendering->hash()));
        foreach (['widget.html.br' => '', 'widget.html' => '<p>o', 'sizes.json' => '{'] as $name => $contents) {
            file_put_contents("$folder/$name", $contents);
            self::assertFalse($files->isSound('k3yk3y', $rendering->hash()), $name);
            $files->write('k3yk3y', $rendering);
            self::assertTrue($files->isSound('k3yk3y', $rendering->hash()), $name);
            self::assertSame('<p>one</p>', file_get_contents("$folder/widget.html"));
        }
        // After a power cut any of them may be empty, or shorter; and disks may give back as many bytes as there were, but others.
        foreach (glob("$folder/*") ?: [] as $file) {
            if (basename($file) === 'sizes.json') {
                continue;
            }
            $before = (string) file_get_contents($file);
            foreach (['' => false, substr($before, 0, -1) => false, strrev($before) => true] as $contents => $isOnlyRead) {
                if ((string) $contents === $before) {
                    continue;
                }
                file_put_contents($file, (string) $contents);
                self::assertSame($isOnlyRead || basename($file) === 'digests.json', $files->isSound('k3yk3y', $rendering->hash()), basename($file));
                self::assertFalse($files->isSound('k3yk3y', $rendering->hash(), thoroughly: true), basename($file));
                $files->write('k3yk3y', $rendering);
                self::assertTrue($files->isSound('k3yk3y', $rendering->hash(), thoroughly: true), basename($file));
            }
        }
        unlink("$folder/digests.json");
        self::assertTrue($files->isSound('k3yk3y', $rendering->hash(), thoroughly: true), 'editions from before have none');
        unlink("$folder/feed.json");
        self::assertFalse($files->isSound('k3yk3y', $rendering->hash()));
        self::assertFalse($files->isSound('k3yk3y', 'nothing'));
    }

    public function test_pages_that_are_as_before_are_taken_over(): void
    {
        $files = new EditionFiles($this->folder);
        $page = fn (string $words): string => "<html>$words</html>";
        $one = new Rendering('a', 'b', ['feed.json' => 'c'], [], ['all.html' => $page('new'), 'all.1.html' => $page('old')], ['all.html' => 'x', 'all.1.html' => 'y']);
        $files->write('k3yk3y', $one);
        self::assertSame(['all.html' => 'x', 'all.1.html' => 'y'], $files->pages('k3yk3y', $one->hash()));
        $two = new Rendering('a', 'b', ['feed.json' => 'c'], [], ['all.html' => $page('newer')], ['all.html' => 'z', 'all.1.html' => 'y']);
        $files->write('k3yk3y', $two, $one->hash());
        self::assertSame($page('old'), $files->read('k3yk3y', $two->hash(), 'all.1.html'));
        self::assertSame(
            fileinode("$this->folder/k3yk3y/{$one->hash()}/all.1.html"),
            fileinode("$this->folder/k3yk3y/{$two->hash()}/all.1.html"),
            'it is the same file',
        );
        self::assertTrue($files->isSound('k3yk3y', $two->hash()));
        $this->expectException(RuntimeException::class);
        $files->write('k3yk3y', new Rendering('d', 'e', ['feed.json' => 'f'], [], [], ['all.html' => 'x']), 'nothing');
    }

    public function test_what_is_left_over_goes_and_the_last_stay(): void
    {
        $files = new EditionFiles($this->folder);
        $hashes = [];
        for ($number = 1; $number <= 4; $number++) {
            $files->write('k3yk3y', $this->rendering("$number"));
            $hashes[] = $this->rendering("$number")->hash();
        }
        $files->point('k3yk3y', $hashes[0], 1_700_000_000);
        mkdir("$this->folder/k3yk3y/.halfmade");
        touch("$this->folder/k3yk3y/.halfmade/widget.html");
        symlink('nothing', "$this->folder/k3yk3y/.current-1");
        $files->tidy('k3yk3y', [$hashes[3]]);
        self::assertEqualsCanonicalizing(
            ['.', '..', 'current', $hashes[0], $hashes[3]],
            scandir("$this->folder/k3yk3y") ?: [],
            'what is out stays, and what is to be kept',
        );
    }

    public function test_a_folder_that_cannot_be_written_is_told(): void
    {
        touch($this->folder);
        $this->expectException(RuntimeException::class);
        (new EditionFiles($this->folder))->write('k3yk3y', $this->rendering('x'));
    }
}
