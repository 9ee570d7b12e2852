<?php

declare(strict_types=1);

namespace App\Editions;

/** The files of an edition, not yet written. */
final readonly class Rendering
{
    public function __construct(public string $fragment, public string $document, public string $feed)
    {
    }

    /** @return array<string, string> contents by file name */
    public function files(): array
    {
        return ['widget.html' => $this->fragment, 'document.html' => $this->document, 'feed.json' => $this->feed];
    }

    /** The same content has the same name, for ever. */
    public function hash(): string
    {
        return substr(hash('sha256', implode("\0", $this->files())), 0, 16);
    }
}
