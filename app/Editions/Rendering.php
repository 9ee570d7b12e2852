<?php

declare(strict_types=1);

namespace App\Editions;

/** The files of an edition, not yet written. */
final readonly class Rendering
{
    /**
     * @param  array<string, string>  $told  the same in other forms, by file name
     * @param  array<string, string>  $others  fragments of the variants, by name
     * @param  array<string, string>  $everything  pages of everything, by file name; those that are as before are left out
     * @param  array<string, string>  $pages  digests of all pages of everything, by file name
     * @param  string|null  $choice  what the element on the page chooses by; null where there is one for all
     * @param  array<string, string>  $ways  documents of what visitors may choose, by file name
     * @param  bool  $isByLanguage  whether it chooses by the language of the page alone, which its address says
     * @param  array<string, string>  $also  names of variants by further tags of pages that get them
     * @param  array<string, array<string, string>>  $further  files beside the edition that never change, by folder and name
     * @param  array{length: string, short: string, phone: int, wide: int, pictured: bool}|null  $room  that it takes; and whether its
     *      rating is there
     *     as a picture
     */
    public function __construct(
        public string $fragment,
        public string $document,
        public array $told = [],
        public array $others = [],
        public array $everything = [],
        public array $pages = [],
        public ?string $choice = null,
        public array $further = [],
        public ?array $room = null,
        public bool $isByLanguage = false,
        public array $ways = [],
        public array $also = [],
    ) {
    }

    /** @param  array<string, string>  $files  by name, and no edition with them */
    public static function ofFiles(array $files): self
    {
        return new self('', '', everything: $files);
    }

    /** @return array<string, string> contents by file name */
    public function files(): array
    {
        if ($this->fragment === '') {
            return $this->everything;
        }
        $files = ['widget.html' => $this->fragment, 'document.html' => $this->document] + $this->told + $this->ways + $this->everything;
        foreach ($this->others as $name => $fragment) {
            $files[($this->isByLanguage ? 'open' : 'at').".$name.html"] = $fragment;
        }
        // Tags of pages that mean one of these languages.
        foreach ($this->isByLanguage ? $this->also : [] as $tag => $name) {
            $files["open.$tag.html"] ??= $this->others[$name] ?? $this->fragment;
        }
        if ($this->choice !== null) {
            $files[$this->isByLanguage ? 'choose.html' : 'decide.html'] = $this->choice;
        }

        return $files;
    }

    /** @return list<string> file names of pages that are as in the edition before */
    public function same(): array
    {
        return array_values(array_diff(array_keys($this->pages), array_keys($this->everything)));
    }

    /** The same content has the same name, for ever. */
    public function hash(): string
    {
        $files = array_diff_key($this->files(), $this->everything);

        return substr(hash('sha256', implode("\0", $files).json_encode($this->pages)), 0, 16);
    }
}
