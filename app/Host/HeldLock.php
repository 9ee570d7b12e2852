<?php

declare(strict_types=1);

namespace App\Host;

/** A lock that is held for as long as this is. */
final class HeldLock
{
    /** @param  resource|null  $file */
    public function __construct(private $file)
    {
    }

    public function release(): void
    {
        if ($this->file !== null) {
            flock($this->file, LOCK_UN);
            fclose($this->file);
            $this->file = null;
        }
    }

    public function __destruct()
    {
        $this->release();
    }
}
