<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Dress\Page\PageSelector;
use Gnomic\Entry\Html;
use Throwable;

/** Looks whether widgets are on a page, as a visitor's browser would have them, and says why not. */
final readonly class PageCheck
{
    /**
     * @param  string  $host  of Gnomic, without a slash at its end
     * @param  string  $siteKey  of the site's own script
     * @param  list<string>|null  $hosts  on which the site's widgets show; null: everywhere
     * @param  list<string>  $known  keys of all widgets of the site
     * @param  array<string, string>  $served  scripts as they are served, by their paths: for those who ask for their integrity
     */
    public function __construct(
        private string $host,
        private string $siteKey,
        private ?array $hosts = null,
        private array $known = [],
        private array $served = [],
    ) {
    }

    /**
     * @param  list<string>|null  $frameHeaders  X-Frame-Options and Content-Security-Policy of what the frames have; null: not asked
     * @return non-empty-list<CheckFinding> the worst first
     */
    public function of(PageTags $tags, FetchedPage $page, Expected $expected, ?array $frameHeaders = null): array
    {
        $told = $expected->isOut ? [] : [new CheckFinding(
            PlacementVerdict::NotPublished,
            "\"$expected->name\" was never published, so its code shows nothing.",
            'Publish it on its bench.',
        )];
        if ($tags->sentOnTo !== null) {
            $told[] = new CheckFinding(
                PlacementVerdict::Unreachable,
                'The page sends its visitors on to '.mb_strimwidth($tags->sentOnTo, 0, 120, '…').' before they have read it.',
                'Put the widget there, or take the meta element that says “refresh” out of this page.',
            );
        }
        $told = [...$told, ...($expected->selector === null
            ? $this->ofTag($tags, $page, $expected, $frameHeaders)
            : $this->ofPlace($tags, $page, $expected))];
        if ($told === [] || max(array_map(fn (CheckFinding $one): int => $one->verdict->weight(), $told)) < 2) {
            $told = [...$this->address($page), ...$told];
        }
        usort($told, fn (CheckFinding $one, CheckFinding $other): int => $other->verdict->weight() <=> $one->verdict->weight());

        return $told === [] ? [new CheckFinding(PlacementVerdict::Right, "\"$expected->name\" is there.")] : $told;
    }

    /**
     * @param  list<string>|null  $frameHeaders
     * @return list<CheckFinding>
     */
    private function ofTag(PageTags $tags, FetchedPage $page, Expected $expected, ?array $frameHeaders): array
    {
        $is = fn (Tag $tag): bool => in_array($tag->key, $expected->keys, true);
        $frames = array_values(array_filter($tags->frames, $is));
        $elements = array_values(array_filter($tags->elements, $is));
        $seen = array_values(array_filter($elements, fn (Tag $tag): bool => ! $tag->isHidden()));
        // A frame within the element is for visitors without scripts.
        $frames = array_values(array_filter($frames, fn (Tag $tag): bool => ! self::isWithin($tag)));
        if ($elements === [] && $frames === []) {
            return [$this->absent($tags, $expected)];
        }
        $told = [];
        if (count($seen) + count($frames) > 1) {
            $told[] = new CheckFinding(
                PlacementVerdict::Twice,
                'Its code is on the page '.(count($seen) + count($frames)).' times.',
                'Remove all but one, unless you want it twice.',
            );
        }
        if ($frames !== []) {
            $told = [...$told, ...(new FrameCheck($page, new PolicyCheck($tags, $page)))->of($frames[0], $frameHeaders)];
        }
        if ($elements !== [] && $frames === []) {
            if ($seen === []) {
                $told[] = new CheckFinding(
                    PlacementVerdict::Hidden,
                    'Its code is inside something that the page hides.',
                    'Move it, or show that part of the page: in a hidden part it is neither seen nor counted.',
                );
            }
            $told = [
                ...$told,
                ...$this->script($tags, $page)->of($tags->scripts, ($seen[0] ?? $elements[0])->hasEdition(), $expected->key),
            ];
        }

        return $told;
    }

    /** What stands there instead of its code. */
    private function absent(PageTags $tags, Expected $expected): CheckFinding
    {
        if (array_intersect($tags->escaped, $expected->keys) !== []) {
            return new CheckFinding(
                PlacementVerdict::Escaped,
                'Its code is on the page as text that visitors read.',
                'Paste it into a block for custom HTML, or into the HTML view of the editor, and not as text.',
            );
        }
        $others = array_values(array_filter(
            $tags->elements,
            fn (Tag $tag): bool => ! in_array($tag->key, $this->known, true) && ! $tag->isHidden(),
        ));
        if ($others !== []) {
            $key = mb_strimwidth($others[0]->key, 0, 40, '…');

            return new CheckFinding(
                PlacementVerdict::OtherKey,
                $key === '' ? 'There is a widget without a key.'
                    : "There is a widget with the key \"$key\", which this site does not have.",
                'Copy the whole code of the widget again.',
            );
        }
        $scripts = array_filter($tags->scripts, fn (Tag $tag): bool => ! $tag->isOther);
        if ($scripts !== [] && $tags->elements === []) {
            return new CheckFinding(
                PlacementVerdict::ElementGone,
                'The script is there, but the element beside it was removed.',
                'The page builder removes elements that it does not know when it saves: use the code with the frame.',
            );
        }

        return new CheckFinding(
            PlacementVerdict::Missing,
            'None of its code is on the page.',
            $expected->isSure ? 'Paste its code where it should be, or remove its spot.' : 'Paste its code where it should be.',
        );
    }

    /** @return list<CheckFinding> of a widget that the site's own tag puts in */
    private function ofPlace(PageTags $tags, FetchedPage $page, Expected $expected): array
    {
        $own = array_values(array_filter($tags->siteScripts, fn (Tag $tag): bool => $tag->key === $this->siteKey));
        if ($own === []) {
            return [$tags->siteScripts === []
                ? new CheckFinding(
                    PlacementVerdict::Missing,
                    'The tag of the site is not on the page.',
                    'Paste it once into the head or the foot of all pages.',
                )
                : new CheckFinding(
                    PlacementVerdict::OtherKey,
                    'The tag is that of another site.',
                    'Copy the tag of this site, and paste it instead.',
                )];
        }
        $told = [];
        $places = self::found($tags, (string) $expected->selector);
        if ($places === null) {
            $told[] = new CheckFinding(
                PlacementVerdict::NoPlace,
                "\"$expected->selector\" is no selector that browsers understand.",
                'Choose the place again.',
            );
        } elseif ($places === 0) {
            $told[] = new CheckFinding(
                PlacementVerdict::NoPlace,
                "Nothing on the page fits \"$expected->selector\", where it should stand.",
                'The page has changed: choose the place again. If a script creates that part of the page, visitors do see the widget.',
            );
        } elseif ($places > 1) {
            $told[] = new CheckFinding(
                PlacementVerdict::ManyPlaces,
                "\"$expected->selector\" fits $places parts of the page; it stands at the first.",
                'Choose the place again, so that it is unique.',
            );
        }

        return [...$told, ...$this->script($tags, $page)->of([], false, $expected->key)];
    }

    /** @return int|null how many elements a selector finds; null where it is none, or none that is understood here */
    private static function found(PageTags $tags, string $selector): ?int
    {
        try {
            $selectors = PageSelector::all($selector);
        } catch (Throwable) {
            return null;
        }
        $found = 0;
        foreach ($selectors === [] ? [] : Html::elements($tags->document, '*') as $element) {
            foreach ($selectors as $one) {
                if ($one->matches($element)) {
                    $found++;
                    break;
                }
            }
        }

        return $selectors === [] ? null : $found;
    }

    /** @return list<CheckFinding> */
    private function address(FetchedPage $page): array
    {
        $host = strtolower((string) parse_url($page->address, PHP_URL_HOST));
        $port = parse_url($page->address, PHP_URL_PORT);
        if ($this->hosts === null || AllowedHosts::of($this->hosts)->allows($host, is_int($port) ? $port : null)) {
            return [];
        }

        return [new CheckFinding(
            PlacementVerdict::NotAllowed,
            "Widgets of this site do not show on $host: it is not among its addresses.",
            "Add $host to the site’s addresses.",
        )];
    }

    private function script(PageTags $tags, FetchedPage $page): ScriptCheck
    {
        return new ScriptCheck($tags, $page, new PolicyCheck($tags, $page), $this->host, $this->served);
    }

    private static function isWithin(Tag $frame): bool
    {
        for ($at = $frame->element->parentNode; $at !== null; $at = $at->parentNode) {
            if ($at->nodeName === 'gnomic-widget') {
                return true;
            }
        }

        return false;
    }
}
