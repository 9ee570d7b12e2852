<?php

declare(strict_types=1);

namespace App\Host;

use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Files that are still whole after the power was cut: on the disk before anything points to them. A file by its own call (fsync, POSIX.1),
 * folders, which PHP cannot open, by the program "sync"; where that is missing, the system writes them when it will.
 */
final class Durable
{
    private const SECONDS = 60;

    /** By way of another name, so that nobody ever has half of it. @return bool whether it is there, whole */
    public static function write(string $path, string $contents): bool
    {
        $new = "$path.new";
        $file = @fopen($new, 'w');
        $isWritten = $file !== false && @fwrite($file, $contents) === strlen($contents) && @fflush($file) && @fsync($file);
        if ($file !== false) {
            fclose($file);
        }
        if (! $isWritten || ! @rename($new, $path)) {
            @unlink($new);

            return false;
        }

        return true;
    }

    /** Files that others have written, and folders: what they hold, and that they hold it. */
    public static function settle(string ...$paths): void
    {
        $program = $paths === [] ? null : (new ExecutableFinder)->find('sync');
        foreach ($program === null ? [] : array_chunk($paths, 200) as $some) {
            (new Process([$program, ...$some], timeout: self::SECONDS))->run();
        }
    }
}
