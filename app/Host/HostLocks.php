<?php

declare(strict_types=1);

namespace App\Host;

use RuntimeException;

/**
 * Locks between the processes of this host. The system itself lets go of them when whoever holds one dies, however he dies, so that
 * nobody ever waits for the dead; and no clock has a say in it.
 */
final readonly class HostLocks
{
    private const STEP_MICROSECONDS = 50_000;

    public function __construct(private string $folder)
    {
    }

    /** The lock of this name; null where somebody holds it. */
    public function attempt(string $name): ?HeldLock
    {
        $file = $this->opened($name);

        return flock($file, LOCK_EX | LOCK_NB) ? new HeldLock($file) : null;
    }

    /** Whether somebody holds it just now. */
    public function isHeld(string $name): bool
    {
        return $this->attempt($name) === null;
    }

    /** One of so many that may be held at a time; null where all are. */
    public function oneOf(string $name, int $most): ?HeldLock
    {
        for ($place = 1; $place <= $most; $place++) {
            $lock = $this->attempt("$name-$place");
            if ($lock !== null) {
                return $lock;
            }
        }

        return null;
    }

    /** @throws LockIsHeld where somebody holds it all the while */
    public function waited(string $name, float $seconds): HeldLock
    {
        $deadline = microtime(true) + $seconds;
        do {
            $lock = $this->attempt($name);
            if ($lock !== null) {
                return $lock;
            }
            usleep(self::STEP_MICROSECONDS);
        } while (microtime(true) < $deadline);

        throw new LockIsHeld("$name is held by another process.");
    }

    /** @return resource */
    private function opened(string $name)
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0750, true) && ! is_dir($this->folder)) {
            throw new RuntimeException("$this->folder cannot be made; the disk may be full.");
        }
        // "e": programs that are started meanwhile do not hold it, too.
        $file = @fopen($this->folder.'/'.preg_replace('/[^\w.-]+/', '_', $name), 'ce');

        return $file === false ? throw new RuntimeException("The lock $name cannot be opened; the disk may be full.") : $file;
    }
}
