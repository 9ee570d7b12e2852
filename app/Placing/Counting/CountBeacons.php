<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use App\Host\HostLocks;
use Gnomic\Json\Value;
use Gnomic\Place\Count\Beacon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/**
 * Adds up what the web server has written down of visitors, a file an hour. How far a file has been read is kept with what was added, in
 * one transaction: whoever is killed in between has done nothing, and nothing is added twice. A file is known by its hour and its
 * first line, which says to the millisecond when it was written: it stays the same file when it is renamed or copied by whoever rotates
 * logs.
 */
final readonly class CountBeacons
{
    /** Bytes that are read at a time. */
    private const CHUNK = 1_048_576;

    /** Longest first line that is looked for, in bytes. */
    private const LINE = 16_384;

    /** Days for which it is known where a widget was seen. */
    private const KEPT_DAYS = 30;

    public function __construct(private BeaconFiles $files, private HostLocks $locks)
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
            [$added, $heads] = [0, []];
            foreach ($this->files->names() as $name) {
                [$of, $head] = $this->file($name);
                $added += $of;
                $heads = $head === null ? $heads : [...$heads, $head];
            }
            // Of files that are gone for good, nothing has to be known any more.
            DB::table('counted_files')->whereNotIn('name', $heads)->delete();
            DB::table('sightings')->where('last_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
            $wasFull = $this->files->isFull();
            if ($this->files->mark() && ! $wasFull) {
                Log::warning('What visitors do is not written down for now: too much of it is waiting, or the disk is nearly full.');
            }

            return $added;
        } finally {
            $lock->release();
        }
    }

    /** @return array{int, string|null} beacons that were added, and what the file is known by; null where it is gone or empty */
    private function file(string $name): array
    {
        $path = $this->files->path($name);
        $file = @fopen($path, 'r');
        if ($file === false) {
            return [0, null];
        }
        $line = (string) fgets($file, self::LINE);
        $head = $line === '' || (! str_ends_with($line, "\n") && strlen($line) < self::LINE - 1) ? null : md5(substr($name, 0, 13).$line);
        $added = 0;
        $offset = 0;
        // What is over is seen before it is read: what comes after that is not there to be lost.
        $isOver = $this->files->isOver($name);
        if ($head !== null) {
            $offset = Value::whole(DB::table('counted_files')->where('name', $head)->value('offset') ?? 0);
            fseek($file, $offset);
            while (($lines = $this->lines($file)) !== '') {
                $offset += strlen($lines);
                $added += $this->add($lines, $head, $offset);
            }
        }
        fclose($file);
        // The file goes first: one that is there and not known would be read from its beginning.
        if ($isOver && $offset >= (int) @filesize($path)) {
            @unlink($path);
            $head = null;
        }

        return [$added, $head];
    }

    private function add(string $lines, string $head, int $offset): int
    {
        $added = 0;
        $sums = new Sums;
        foreach (explode("\n", rtrim($lines, "\n")) as $line) {
            $beacon = Beacon::read($line);
            if ($beacon !== null) {
                $sums->add($beacon);
                $added++;
            }
        }
        DB::transaction(function () use ($sums, $head, $offset): void {
            $sums->write();
            DB::table('counted_files')->upsert([['name' => $head, 'offset' => $offset]], ['name'], ['offset']);
        });

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
        // A line longer than all of that is none, and is passed by.
        $lines = $end === false ? (strlen($read) === self::CHUNK ? $read : '') : substr($read, 0, $end + 1);
        fseek($file, $at + strlen($lines));

        return $lines;
    }
}
