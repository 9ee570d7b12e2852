<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\Durable;
use App\Host\Folder;
use Gnomic\Json\Value;
use Illuminate\Filesystem\Filesystem;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * The published files: KEY/HASH/ holds an edition and is never changed, KEY/current points to the one that is out.
 * The pointer is moved by one rename, so that a visitor gets an edition whole, the one before or the one after.
 */
final readonly class EditionFiles
{
    /** Of brotli, for what there are dozens of: a seventieth of the time of the best, and nine in a hundred more bytes. */
    private const OF_VARIANTS = 9;

    /** For as many, the time of the best is no matter. */
    private const FEW_VARIANTS = 3;

    /** Of brotli and gzip, for pages of everything, of which there are hundreds: a fiftieth of the time of the best. */
    private const OF_PAGES = 5;

    /** Files that one call of brotli packs, and how long it may take. */
    private const PACKED_AT_ONCE = 50;

    private const PACKING_SECONDS = 60;

    /** How long each file of an edition is, written last: what has it is whole. */
    private const SIZES = 'sizes.json';

    /** What is in each file, by a digest. */
    private const DIGESTS = 'digests.json';

    private const DIGEST = 'xxh128';

    /** What each page of everything was made from. */
    private const PAGES = 'pages.json';

    /** Folders beside it, of files that never change. */
    private const FURTHER = 'further.json';

    /** A file as it is, and packed. */
    private const ENDINGS = ['', '.gz', '.br'];

    public function __construct(private string $folder)
    {
    }

    /**
     * Writes an edition whole, and reads it back: one that is not as it was meant to be is none, and nothing points to it.
     *
     * @param  string|null  $before  hash of the edition that pages which are as before are taken from
     *
     * @throws EditionNotWritten
     */
    public function write(string $key, Rendering $rendering, ?string $before = null): void
    {
        foreach ($rendering->further as $folder => $files) {
            $this->whole($key, (string) $folder, Rendering::ofFiles($files), '');
        }
        $this->whole($key, $rendering->hash(), $rendering, "$this->folder/$key/$before");
    }

    /** @throws EditionNotWritten */
    private function whole(string $key, string $hash, Rendering $rendering, string $before): void
    {
        $target = "$this->folder/$key/$hash";
        if (is_dir($target)) {
            if (! $this->isWhole($key, $hash, thoroughly: true)) {
                $this->fill($target, $rendering, $before);
            }

            return;
        }
        $making = "$this->folder/$key/.".bin2hex(random_bytes(6));
        try {
            $this->makeFolder($making);
            $this->fill($making, $rendering, $before);
            // Another worker may have written the very same edition meanwhile.
            if (! @rename($making, $target) && ! is_dir($target)) {
                throw EditionNotWritten::at($target);
            }
            Durable::settle("$this->folder/$key");
        } finally {
            if (is_dir($making)) {
                (new Filesystem)->deleteDirectory($making);
            }
            clearstatcache();
        }
    }

    /**
     * Whether every file of an edition is there, as long as it was when it was read back; those that never change, too.
     *
     * @param  bool  $thoroughly  whether what is in them is compared as well
     */
    public function isSound(string $key, string $hash, bool $thoroughly = false): bool
    {
        $isBroken = fn (string $one): bool => ! $this->isWhole($key, $one, $thoroughly);

        return array_filter([$hash, ...$this->further($key, $hash)], $isBroken) === [];
    }

    private function isWhole(string $key, string $hash, bool $thoroughly = false): bool
    {
        $folder = "$this->folder/$key/$hash";
        clearstatcache();
        $sizes = json_decode((string) @file_get_contents("$folder/".self::SIZES), true);
        $digests = $thoroughly ? json_decode((string) @file_get_contents("$folder/".self::DIGESTS), true) : [];
        foreach (is_array($sizes) ? $sizes : ['' => -1] as $name => $size) {
            if (@filesize("$folder/$name") !== $size) {
                return false;
            }
            $digest = is_array($digests) ? ($digests[$name] ?? null) : null;
            // Editions from before have no digests.
            if ($digest !== null && @hash_file(self::DIGEST, "$folder/$name") !== $digest) {
                return false;
            }
        }

        return is_array($digests) || ! $thoroughly || ! is_file("$folder/".self::DIGESTS);
    }

    /** @return array<string, string> digests of the pages of everything of an edition, by file name */
    public function pages(string $key, string $hash): array
    {
        $pages = json_decode((string) @file_get_contents("$this->folder/$key/$hash/".self::PAGES), true);

        return Value::named($pages);
    }

    /** @return list<string> folders of files that never change, of an edition */
    private function further(string $key, string $hash): array
    {
        $further = json_decode((string) @file_get_contents("$this->folder/$key/$hash/".self::FURTHER), true);

        return Value::texts($further);
    }

    /**
     * Takes away what a worker that was killed has left, and editions that are too old to be brought back. Whoever calls it is the only
     * one who publishes this widget just now.
     *
     * @param  list<string>  $kept  hashes
     */
    public function tidy(string $key, array $kept): void
    {
        $out = basename((string) @readlink("$this->folder/$key/current"));
        $further = array_map(fn (string $hash): array => $this->further($key, $hash), [...$kept, $out]);
        $kept = [...$kept, $out, ...array_merge([], ...$further)];
        foreach (Folder::names("$this->folder/$key") as $name) {
            $path = "$this->folder/$key/$name";
            if (in_array($name, ['current', 'for'], true) || in_array($name, $kept, true)) {
                continue;
            }
            is_link($path) ? @unlink($path) : (new Filesystem)->deleteDirectory($path);
        }
    }

    /** @throws EditionNotWritten */
    private function fill(string $folder, Rendering $rendering, string $before): void
    {
        foreach ($rendering->same() as $name) {
            foreach (self::ENDINGS as $ending) {
                $isThere = is_file("$folder/$name$ending") || ! is_file("$before/$name$ending")
                    || @link("$before/$name$ending", "$folder/$name$ending") || @copy("$before/$name$ending", "$folder/$name$ending");
                if (! $isThere || ($ending === '' && ! is_file("$folder/$name"))) {
                    throw EditionNotWritten::at("$folder/$name");
                }
            }
        }
        $this->put("$folder/".self::PAGES, json_encode($rendering->pages, JSON_THROW_ON_ERROR));
        $this->put("$folder/".self::FURTHER, json_encode(array_map(strval(...), array_keys($rendering->further)), JSON_THROW_ON_ERROR));
        foreach ($rendering->files() as $name => $contents) {
            $this->put("$folder/$name", $contents);
            $this->put("$folder/$name.gz", (string) gzencode($contents, isset($rendering->everything[$name]) ? self::OF_PAGES : 9));
        }
        $names = array_keys($rendering->files());
        $pages = array_keys($rendering->everything);
        $named = fn (string $how): array => array_values(array_filter($names, fn (string $name): bool => preg_match($how, $name) === 1));
        $variants = $named('/^(?:at|open)\./');
        // Of few, each has as many visitors as the usual one; what is chosen, whoever presses for it.
        $variants = [...(count($variants) > self::FEW_VARIANTS ? $variants : []), ...$named('/^by\./')];
        $this->brotli('--best', $folder, array_values(array_diff($names, $pages, $variants)));
        $this->brotli('--quality='.self::OF_VARIANTS, $folder, $variants);
        foreach (array_chunk($pages, self::PACKED_AT_ONCE) as $some) {
            $this->brotli('--quality='.self::OF_PAGES, $folder, $some);
        }
        $this->readBack($folder, $rendering, $before);
    }

    /** @throws EditionNotWritten */
    private function readBack(string $folder, Rendering $rendering, string $before): void
    {
        $sizes = $digests = [];
        clearstatcache();
        foreach ($rendering->files() as $name => $contents) {
            if (
                @file_get_contents("$folder/$name") !== $contents
                || @gzdecode((string) @file_get_contents("$folder/$name.gz")) !== $contents
            ) {
                throw EditionNotWritten::at("$folder/$name");
            }
        }
        // Of what is the same file as before, it is known: it was looked at before anything was taken from it.
        $known = $rendering->same() === [] ? [] : Value::named(json_decode((string) @file_get_contents("$before/".self::DIGESTS), true));
        $same = array_flip($rendering->same());
        $new = [];
        foreach ([...array_keys($rendering->files()), ...$rendering->same(), self::PAGES, self::FURTHER] as $name) {
            foreach (self::ENDINGS as $ending) {
                $file = "$name$ending";
                if (is_file("$folder/$file")) {
                    $isOld = isset($known[$file], $same[$name]);
                    $sizes[$file] = (int) filesize("$folder/$file");
                    $digests[$file] = $isOld ? $known[$file] : (string) hash_file(self::DIGEST, "$folder/$file");
                    $new = $isOld ? $new : [...$new, "$folder/$file"];
                }
            }
        }
        $this->put("$folder/".self::DIGESTS, json_encode($digests, JSON_THROW_ON_ERROR));
        $this->put("$folder/".self::SIZES, json_encode($sizes, JSON_THROW_ON_ERROR));
        // All of it is on the disk before anything points to it.
        Durable::settle(...$new, ...["$folder/".self::DIGESTS, "$folder/".self::SIZES, $folder]);
    }

    /** @param  int  $time seconds; later than the edition before, so that validators by time and size tell them apart */
    public function point(string $key, string $hash, int $time): void
    {
        $folder = "$this->folder/$key";
        foreach (Folder::paths("$folder/$hash/*") as $file) {
            // What several editions share is the same in all of them.
            if ((stat($file)['nlink'] ?? 1) === 1) {
                @touch($file, $time);
            }
        }
        $pointer = "$folder/.current-".bin2hex(random_bytes(6));
        if (! @symlink($hash, $pointer) || ! @rename($pointer, "$folder/current")) {
            @unlink($pointer);
            throw EditionNotWritten::at("$folder/current");
        }
        Durable::settle($folder);
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

    /** @throws EditionNotWritten */
    private function put(string $path, string $contents): void
    {
        // By way of another name, so that a file which visitors have in hand is never half of one.
        $new = "$path.new";
        if (@file_put_contents($new, $contents) !== strlen($contents) || ! @rename($new, $path)) {
            @unlink($new);
            throw EditionNotWritten::at($path);
        }
    }

    /** @throws EditionNotWritten */
    private function makeFolder(string $path): void
    {
        if (! is_dir($path) && ! @mkdir($path, 0755, true) && ! is_dir($path)) {
            throw EditionNotWritten::at($path);
        }
    }

    /**
     * All of them by one call, and tested by another. Where the program is missing, visitors get gzip.
     *
     * @param  list<string>  $names  of files in the folder
     *
     * @throws EditionNotWritten
     */
    private function brotli(string $quality, string $folder, array $names): void
    {
        $program = $names === [] ? null : (new ExecutableFinder)->find('brotli');
        if ($program === null) {
            return;
        }
        $packed = array_map(fn (string $name): string => "$name.br", $names);
        $packing = new Process([$program, $quality, '--keep', '--force', ...$names], $folder, timeout: self::PACKING_SECONDS);
        $testing = new Process([$program, '--test', ...$packed], $folder, timeout: self::PACKING_SECONDS);
        if ($packing->run() !== 0 || $testing->run() !== 0) {
            array_map(fn (string $name): bool => @unlink("$folder/$name"), $packed);
            throw EditionNotWritten::at("$folder/$packed[0]");
        }
    }
}
