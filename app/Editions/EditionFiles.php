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
    /** Of brotli, for what there are dozens of: a quarter of the time of the best, and two in a hundred more bytes. */
    private const OF_VARIANTS = 10;

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
        $names = array_keys($rendering->files());
        $variants = array_values(array_filter($names, fn (string $name): bool => str_starts_with($name, 'at.')));
        $this->brotli('--best', $making, array_values(array_diff($names, $variants)));
        $this->brotli('--quality='.self::OF_VARIANTS, $making, $variants);
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
     * All of them by one call. Where the program is missing, visitors get gzip.
     *
     * @param  list<string>  $names  of files in the folder
     */
    private function brotli(string $quality, string $folder, array $names): void
    {
        $program = $names === [] ? null : (new ExecutableFinder)->find('brotli');
        if ($program !== null) {
            (new Process([$program, $quality, '--keep', '--force', ...$names], $folder))->run();
        }
    }
}
