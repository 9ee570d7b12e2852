<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Gnomic\Dress\Look;
use Gnomic\Dress\Scheme;

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

    /**
     * Where the page is light, and dark for those who prefer it so: the colours of both.
     *
     * @param  list<self>  $others  what the page proposes to those
     */
    public function withDark(array $others): self
    {
        foreach ($others as $other) {
            if ($other->path === $this->path && $other->isDark && ! $this->isDark) {
                $look = $this->look;
                $ofDark = array_filter($other->evidence, fn (Evidence $one): bool => str_starts_with($one->token, 'dark.'));

                return new self(
                    $this->path,
                    $this->name,
                    false,
                    $this->tags,
                    Look::of($look->key, $look->name, $look->about, Scheme::Visitor, $look->light, $other->look->dark, $look->tokens),
                    [...$this->evidence, ...$ofDark],
                );
            }
        }

        return $this;
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
