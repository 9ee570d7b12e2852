<?php

declare(strict_types=1);

namespace App\Editions;

/** The files of an edition, not yet written. */
final readonly class Rendering
{
    /**
     * @param  string|null  $everything  the page behind the honest line
     * @param  array<string, string>  $others  fragments of the variants, by name
     */
    public function __construct(
        public string $fragment,
        public string $document,
        public string $feed,
        public ?string $everything = null,
        public array $others = [],
    ) {
    }

    /** @return array<string, string> contents by file name */
    public function files(): array
    {
        $files = ['widget.html' => $this->fragment, 'document.html' => $this->document, 'feed.json' => $this->feed];
        if ($this->everything !== null) {
            $files['all.html'] = $this->everything;
        }
        foreach ($this->others as $name => $fragment) {
            $files["at.$name.html"] = $fragment;
        }

        return $files;
    }

    /** The same content has the same name, for ever. */
    public function hash(): string
    {
        return substr(hash('sha256', implode("\0", $this->files())), 0, 16);
    }
}
