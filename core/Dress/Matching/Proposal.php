<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Gnomic\Dress\Look;

/** A look that a section of a page proposes. */
final readonly class Proposal
{
    /**
     * @param  string  $path  of the section's element, as a selector
     * @param  string  $name  for people: "What visitors say"
     * @param  list<string>  $tags  keys of widgets whose codes stand in it, and in no section within
     * @param  list<Evidence>  $evidence
     */
    public function __construct(
        public string $path,
        public string $name,
        public bool $isDark,
        public array $tags,
        public Look $look,
        public array $evidence,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'path' => $this->path,
            'name' => $this->name,
            'isDark' => $this->isDark,
            'tags' => $this->tags,
            'look' => $this->look->toArray(),
            'evidence' => array_map(get_object_vars(...), $this->evidence),
        ];
    }
}
