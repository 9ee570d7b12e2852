<?php

declare(strict_types=1);

namespace Standins;

use RuntimeException;

/** What a stand-in knows, as one JSON file; changed by one process at a time. */
final readonly class State
{
    public function __construct(private string $file)
    {
    }

    /** @return array<string, mixed> */
    public function read(): array
    {
        $state = json_decode((string) file_get_contents($this->file), true);

        return is_array($state) ? $state : throw new RuntimeException("$this->file holds no state.");
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    public function change(callable $change): void
    {
        $lock = fopen("$this->file.lock", 'c') ?: throw new RuntimeException("$this->file.lock cannot be opened.");
        flock($lock, LOCK_EX);
        $state = $change($this->read());
        file_put_contents("$this->file.new", json_encode($state, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        rename("$this->file.new", $this->file);
        flock($lock, LOCK_UN);
    }
}
