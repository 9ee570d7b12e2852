<?php

declare(strict_types=1);

namespace Gnomic\Text;

/**
 * Which of some languages a page gets: look-up by RFC 4647, 3.4, where a tag that has none loses its end until it has one; before that,
 * tags that mean the same (CLDR: likely subtags, and languages that are known by two names).
 */
final readonly class LanguageLookup
{
    /** @var array<string, string> languages by the tags that have them, in small letters */
    private array $by;

    /** @param  array<string, list<string>>  $languages  by tag, the usual one first: further tags that mean it */
    public function __construct(array $languages)
    {
        $by = [];
        foreach ($languages as $language => $also) {
            foreach ([$language, ...$also] as $place => $tag) {
                $tag = strtolower($tag);
                // Its own name has a language before any other that it is meant by, too.
                if ($place === 0 || ! isset($by[$tag])) {
                    $by[$tag] = $language;
                }
            }
        }
        foreach (array_keys($languages) as $language) {
            $by += [strtolower(Pieces::before($language, '-')) => $language];
        }
        $this->by = $by;
    }

    /** @param  string  $tag  of a page @return string|null one of the languages; null where none of them is near */
    public function language(string $tag): ?string
    {
        $parts = explode('-', strtolower(strtr(trim($tag), '_', '-')));
        while ($parts !== []) {
            $found = $this->by[implode('-', $parts)] ?? null;
            if ($found !== null) {
                return $found;
            }
            array_pop($parts);
            // What says nothing by itself goes with what follows it.
            if ($parts !== [] && strlen($parts[count($parts) - 1]) === 1) {
                array_pop($parts);
            }
        }

        return null;
    }

    /** @return array<string, string> languages by tags of pages, all that are no language themselves */
    public function others(): array
    {
        return array_filter($this->by, fn (string $language, string $tag): bool => strtolower($language) !== $tag, ARRAY_FILTER_USE_BOTH);
    }
}
