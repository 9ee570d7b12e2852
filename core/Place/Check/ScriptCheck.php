<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** Whether the script that a tag needs is there and may run. @internal */
final readonly class ScriptCheck
{
    private const ALGORITHMS = ['sha256' => 1, 'sha384' => 2, 'sha512' => 3];

    /** @param  array<string, string>  $served  scripts as they are served, by their paths */
    public function __construct(
        private PageTags $tags,
        private FetchedPage $page,
        private PolicyCheck $policies,
        private string $host,
        private array $served = [],
    ) {
    }

    /**
     * @param  list<Tag>  $scripts  of the element
     * @param  bool  $hasEdition  whether the page has the edition in it already
     * @param  string  $key  of a widget
     * @return list<CheckFinding>
     */
    public function of(array $scripts, bool $hasEdition, string $key): array
    {
        $own = array_values(array_filter([...$scripts, ...$this->tags->siteScripts], fn (Tag $tag): bool => ! $tag->isOther));
        $running = array_values(array_filter($own, fn (Tag $tag): bool => ! $tag->isHeld));
        $others = array_values(array_filter($scripts, fn (Tag $tag): bool => $tag->isOther));
        if ($own === [] && $others !== [] && ! $hasEdition) {
            return [new CheckFinding(
                PlacementVerdict::ScriptGone,
                'Its script comes from '.parse_url($others[0]->address, PHP_URL_HOST).', which is not where this Gnomic answers.',
                'If Gnomic has moved, copy the code again; or let the old address lead here until all pages have the new one.',
            )];
        }
        if ($own === []) {
            return $hasEdition ? [] : [new CheckFinding(
                PlacementVerdict::ScriptGone,
                'The element is there, but the script beside it was removed.',
                'The page builder removes scripts when it saves: use the code with the frame, or the site’s own tag once.',
            )];
        }
        if ($running === []) {
            return [self::held($own[0])];
        }
        $fitting = array_values(array_filter($running, fn (Tag $tag): bool => $this->isWhole($tag)));
        if ($fitting === [] && ! $hasEdition) {
            return [new CheckFinding(
                PlacementVerdict::ScriptGone,
                'The script has an attribute “integrity” that does not fit the script as it is served, so browsers refuse it.',
                'Remove that attribute: the script changes when Gnomic is brought up to date.',
            )];
        }
        $running = $fitting === [] ? $running : $fitting;
        $insecure = array_filter($running, fn (Tag $tag): bool => $tag->isMixedOn($this->page->address));
        if (count($insecure) === count($running)) {
            return [new CheckFinding(
                PlacementVerdict::Mixed,
                'The page is protected (https) and asks for the script without protection (http), which browsers refuse.',
                'Write https:// in the code, and let Gnomic answer there.',
            )];
        }

        return $this->policies->ofScript(array_values(array_diff_key($running, $insecure))[0], $hasEdition, $this->host, $key);
    }

    /** Scripts wait for more than consent: an address that is kept aside may only be waiting to be scrolled to. */
    private static function held(Tag $script): CheckFinding
    {
        $isLazy = array_filter(['data-src', 'data-lazy-src'], fn (string $name): bool => $script->element->hasAttribute($name)) !== [];

        return new CheckFinding(
            PlacementVerdict::Held,
            $isLazy ? 'The script waits: for the consent of visitors, or until they scroll to it (lazy loading).'
                : 'The script waits until visitors give consent.',
            'Gnomic sets no cookie and keeps nothing: list its script as necessary in the settings of the consent banner'
                .($isLazy ? ', or leave it out of lazy loading.' : '.'),
        );
    }

    /**
     * Whether its integrity, where one is written, is that of what is served (Subresource Integrity, §3.3): the strongest of several
     * counts.
     */
    private function isWhole(Tag $script): bool
    {
        $served = $this->served[(string) parse_url($script->address, PHP_URL_PATH)] ?? null;
        preg_match_all(
            '~(?<!\S)(sha(?:256|384|512))-([A-Za-z0-9+/_=-]+)(?:\?\S*)?(?!\S)~',
            $script->element->getAttribute('integrity'),
            $found,
            PREG_SET_ORDER,
        );
        if ($found === []) {
            return true;
        }
        // Of another origin, browsers may look into it only where the page asks for that.
        if (! $script->element->hasAttribute('crossorigin')) {
            return false;
        }
        $strongest = max(array_map(fn (array $one): int => self::ALGORITHMS[$one[1]], $found));
        $fits = array_filter($found, fn (array $one): bool => self::ALGORITHMS[$one[1]] === $strongest
            && ($served === null || strtr(rtrim($one[2], '='), '-_', '+/') === rtrim(base64_encode(hash($one[1], $served, true)), '=')));

        return $fits !== [];
    }
}
