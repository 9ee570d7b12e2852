<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Filesystem\Filesystem;
use RuntimeException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * The published files: KEY/HASH/ holds an edition and is never changed, KEY/current points to the one that is out.
 * The pointer is moved by one rename, so that a visitor gets an edition whole, the one before or the one after.
 */
final readonly class EditionFiles
{
    public function __construct(private string $folder)
    {
    }

    public function write(string $key, Rendering $rendering): void
    {
        $target = "$this->folder/$key/{$rendering->hash()}";
        if (is_dir($target)) {
            return;
        }
        $making = "$this->folder/$key/.".bin2hex(random_bytes(6));
        $this->makeFolder($making);
        foreach ($rendering->files() as $name => $contents) {
            $this->put("$making/$name", $contents);
            $this->put("$making/$name.gz", (string) gzencode($contents, 9));
        }
        $this->brotli(array_map(fn (string $name): string => "$making/$name", array_keys($rendering->files())));
        // Another worker may have written the very same edition meanwhile.
        if (! @rename($making, $target)) {
            (new Filesystem)->deleteDirectory($making);
            clearstatcache();
            if (! is_dir($target)) {
                throw new RuntimeException("The edition cannot be written to $target.");
            }
        }
    }

    /** @param  int  $time seconds; later than the edition before, so that validators by time and size tell them apart */
    public function point(string $key, string $hash, int $time): void
    {
        $folder = "$this->folder/$key";
        foreach (glob("$folder/$hash/*") ?: [] as $file) {
            touch($file, $time);
        }
        $pointer = "$folder/.current-".bin2hex(random_bytes(6));
        if (! symlink($hash, $pointer) || ! rename($pointer, "$folder/current")) {
            throw new RuntimeException("The edition cannot be published in $folder.");
        }
    }

    /** Whether it is what visitors get. */
    public function isOut(string $key, string $hash): bool
    {
        return @readlink("$this->folder/$key/current") === $hash && is_dir("$this->folder/$key/$hash");
    }

    public function read(string $key, string $hash, string $name): ?string
    {
        $contents = @file_get_contents("$this->folder/$key/$hash/$name");

        return $contents === false ? null : $contents;
    }

    private function put(string $path, string $contents): void
    {
        if (file_put_contents($path, $contents) !== strlen($contents)) {
            throw new RuntimeException("$path cannot be written; is the disk full?");
        }
    }

    private function makeFolder(string $path): void
    {
        if (! is_dir($path) && ! @mkdir($path, 0755, true) && ! is_dir($path)) {
            throw new RuntimeException("$path cannot be made.");
        }
    }

    /**
     * All of them by one call: an edition with variants has dozens. Where the program is missing, visitors get gzip.
     *
     * @param  list<string>  $paths
     */
    private function brotli(array $paths): void
    {
        $program = (new ExecutableFinder)->find('brotli');
        if ($program !== null) {
            (new Process([$program, '--best', '--keep', '--force', ...$paths]))->run();
        }
    }
}
