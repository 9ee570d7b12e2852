<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use App\Host\Folder;

/**
 * The files in which the web server writes down beacons: one an hour, named by the hour in UTC, with what a program that rotates logs made
 * of them. They take no more of the disk than is allowed: beyond it a mark says "full", and the server writes nothing more while it lies
 * there.
 */
final readonly class BeaconFiles
{
    /** Seconds after its hour, and after it was last written, after which nobody writes into a file any more. */
    private const QUIET = 600;

    /** Bytes of all of them, and what the disk keeps free. */
    public const MOST = 256_000_000;

    private const FREE = 200_000_000;

    private const FULL = 'full';

    public function __construct(public string $folder)
    {
    }

    /** @return list<string> names, the eldest first */
    public function names(): array
    {
        $isOne = fn (string $name): bool => preg_match('/\.log(?:[.-]\d{1,10})?$/D', $name) === 1;

        return array_values(array_filter(Folder::names($this->folder), $isOne));
    }

    public function path(string $name): string
    {
        return "$this->folder/$name";
    }

    /** Whether nothing will be added: its hour is over, nobody has written for a while, and nobody holds it open to write. */
    public function isOver(string $name): bool
    {
        clearstatcache();
        $path = $this->path($name);
        $now = now()->getTimestamp();
        $hour = strtotime(str_replace('T', ' ', substr($name, 0, 13)).':00 UTC');
        $isPast = ($hour === false || $hour + 3600 + self::QUIET < $now) && (int) @filemtime($path) + self::QUIET < time();

        return $isPast && ! $this->isHeld($path);
    }

    /** Marks the folder as full or takes the mark away. @return bool whether it is full */
    public function mark(int $most = self::MOST): bool
    {
        clearstatcache();
        $sizes = array_sum(array_map(fn (string $name): int => (int) @filesize($this->path($name)), $this->names()));
        $isFull = $sizes > $most || (is_dir($this->folder) && (int) @disk_free_space($this->folder) < self::FREE);
        $isFull ? @touch($this->path(self::FULL)) : @unlink($this->path(self::FULL));

        return $isFull;
    }

    public function isFull(): bool
    {
        clearstatcache();

        return is_file($this->path(self::FULL));
    }

    /** As far as the host lets one see: of processes of other users, what they hold is not told. */
    private function isHeld(string $path): bool
    {
        $own = '/proc/'.getmypid().'/';
        $real = realpath($path);
        foreach (Folder::paths('/proc/[0-9]*/fd/*') as $held) {
            if (! str_starts_with($held, $own) && @readlink($held) === $real && $this->isForWriting($held)) {
                return true;
            }
        }

        return false;
    }

    private function isForWriting(string $held): bool
    {
        $told = (string) @file_get_contents(str_replace('/fd/', '/fdinfo/', $held));

        return preg_match('/^flags:\s+0*([0-7]+)$/m', $told, $found) === 1 && (octdec($found[1]) & 3) !== 0;
    }
}
