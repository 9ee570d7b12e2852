<?php

declare(strict_types=1);

namespace App\Editions;

/** The files of an edition, not yet written. */
final readonly class Rendering
{
    /**
     * @param  array<string, string>  $others  fragments of the variants, by name
     * @param  array<string, string>  $everything  pages of everything, by file name; those that are as before are left out
     * @param  array<string, string>  $pages  digests of all pages of everything, by file name
     * @param  string  $markup  schema.org data of what is shown
     * @param  array<string, array<string, string>>  $further  files beside the edition that never change, by folder and name
     * @param  string|null  $manifest  of the variants, for the element on the page to choose by; null where there is one for all
     */
    public function __construct(
        public string $fragment,
        public string $document,
        public string $feed,
        public array $others = [],
        public array $everything = [],
        public array $pages = [],
        public ?string $manifest = null,
        public string $markup = '',
        public array $further = [],
    ) {
    }

    /** @param  array<string, string>  $files  by name, and no edition with them */
    public static function ofFiles(array $files): self
    {
        return new self('', '', '', everything: $files);
    }

    /** @return array<string, string> contents by file name */
    public function files(): array
    {
        if ($this->fragment === '') {
            return $this->everything;
        }
        $files = [
            'widget.html' => $this->fragment,
            'document.html' => $this->document,
            'feed.json' => $this->feed,
            'data.jsonld' => $this->markup,
        ] + $this->everything;
        foreach ($this->others as $name => $fragment) {
            $files["at.$name.html"] = $fragment;
        }

        if ($this->manifest !== null) {
            $files['choose.html'] = '<template data-variants="'.htmlspecialchars($this->manifest, ENT_QUOTES)."\"></template>\n";
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
