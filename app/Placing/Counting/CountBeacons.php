<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use App\Host\Folder;
use App\Host\HostLocks;
use Gnomic\Json\Value;
use Gnomic\Place\Count\Beacon;
use Illuminate\Support\Facades\DB;

/**
 * Adds up what the web server has written down of visitors, a file an hour. How far a file has been read is kept with what was added, in
 * one transaction: whoever is killed in between has done nothing, and nothing is added twice.
 */
final readonly class CountBeacons
{
    /** Bytes that are read at a time. */
    private const CHUNK = 1_048_576;

    /** Seconds after its hour, after which nobody writes into a file any more. */
    private const QUIET = 600;

    public function __construct(private string $folder, private HostLocks $locks)
    {
    }

    /** @return int beacons that were added */
    public function run(): int
    {
        $lock = $this->locks->attempt('count');
        if ($lock === null) {
            return 0;
        }
        try {
            $added = 0;
            $files = array_filter(Folder::names($this->folder), fn (string $name): bool => str_ends_with($name, '.log'));
            foreach ($files as $name) {
                $added += $this->file($name);
            }
            // Of files that are gone for good, nothing has to be known any more.
            DB::table('counted_files')->whereNotIn('name', array_values($files))->delete();

            return $added;
        } finally {
            $lock->release();
        }
    }

    private function file(string $name): int
    {
        $path = "$this->folder/$name";
        $file = @fopen($path, 'r');
        if ($file === false) {
            return 0;
        }
        $inode = (int) (fstat($file)['ino'] ?? 0);
        $known = DB::table('counted_files')->where('name', $name)->first();
        $offset = $known !== null && Value::whole($known->inode) === $inode ? Value::whole($known->offset) : 0;
        $added = 0;
        $isPast = $this->isPast($name);
        fseek($file, $offset);
        while (($lines = $this->lines($file)) !== '') {
            $sums = new Sums;
            foreach (explode("\n", rtrim($lines, "\n")) as $line) {
                $beacon = Beacon::read($line);
                if ($beacon !== null) {
                    $sums->add($beacon);
                    $added++;
                }
            }
            $offset += strlen($lines);
            DB::transaction(function () use ($sums, $name, $inode, $offset): void {
                $sums->write();
                DB::table('counted_files')->upsert(
                    [['name' => $name, 'inode' => $inode, 'offset' => $offset]],
                    ['name'],
                    ['inode', 'offset'],
                );
            });
        }
        fclose($file);
        // The file goes first: one that is there and not known would be read from its beginning.
        if ($isPast && $offset >= (int) @filesize($path)) {
            @unlink($path);
        }

        return $added;
    }

    /**
     * Whole lines, as many as are read at a time; what is being written waits.
     *
     * @param  resource  $file
     */
    private function lines($file): string
    {
        $at = (int) ftell($file);
        $read = (string) stream_get_contents($file, self::CHUNK);
        $end = strrpos($read, "\n");
        $lines = $end === false ? '' : substr($read, 0, $end + 1);
        fseek($file, $at + strlen($lines));

        return $lines;
    }

    private function isPast(string $name): bool
    {
        $hour = strtotime(str_replace('T', ' ', substr($name, 0, 13)).':00');

        return $hour !== false && $hour + 3600 + self::QUIET < now()->getTimestamp();
    }
}
