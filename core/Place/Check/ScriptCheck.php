<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** Whether the script that a tag needs is there and may run. @internal */
final readonly class ScriptCheck
{
    public function __construct(private PageTags $tags, private FetchedPage $page, private PolicyCheck $policies, private string $host)
    {
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
        if ($own === []) {
            return $hasEdition ? [] : [new CheckFinding(
                PlacementVerdict::ScriptGone,
                'The element is there, but the script beside it was removed.',
                'The page builder removes scripts when it saves: use the code with the frame, or the site’s own tag once.',
            )];
        }
        if ($running === []) {
            return [new CheckFinding(
                PlacementVerdict::Held,
                'The script waits until visitors give consent.',
                'Gnomic sets no cookie and keeps nothing: list its script as necessary in the settings of the consent banner.',
            )];
        }
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
}
