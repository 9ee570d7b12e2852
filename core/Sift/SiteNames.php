<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Text\Numbers;

/** What sources, subjects and channels are called. Where a name is not known, the key stands for it. */
final readonly class SiteNames
{
    /**
     * @param  array<string, string>  $sources  by key
     * @param  array<string, string>  $subjects  by key
     * @param  array<string, string>  $channels  by key
     */
    public function __construct(public array $sources = [], public array $subjects = [], public array $channels = [])
    {
    }

    public function source(string $key): string
    {
        return $this->sources[$key] ?? $key;
    }

    public function subject(string $key): string
    {
        return $this->subjects[$key] ?? $key;
    }

    public function channel(string $key): string
    {
        return $this->channels[$key] ?? ucfirst($key);
    }

    /**
     * "the Dome and Rookcall", "three sources", "no source".
     *
     * @param  list<string>  $keys
     * @param  callable(string): string  $named
     */
    public static function listed(array $keys, string $noun, callable $named): string
    {
        return match (true) {
            $keys === [] => "no $noun",
            count($keys) < 3 => Numbers::listed(array_map($named, $keys)),
            default => Numbers::counted(count($keys), $noun),
        };
    }
}
