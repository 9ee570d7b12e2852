<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Dress\Page\PageSelector;
use Gnomic\Entry\Html;
use Gnomic\Place\Policy\ContentPolicy;
use Gnomic\Place\Policy\Need;
use Gnomic\Place\Policy\Refusal;
use Gnomic\Place\Policy\Wanted;
use Throwable;

/** Looks whether widgets are on a page, as a visitor's browser would have them, and says why not. */
final readonly class PageCheck
{
    /**
     * @param  string  $host  of Gnomic, without a slash at its end
     * @param  string  $siteKey  of the site's own script
     * @param  list<string>|null  $hosts  on which the site's widgets show; null: everywhere
     * @param  list<string>  $known  keys of all widgets of the site
     */
    public function __construct(private string $host, private string $siteKey, private ?array $hosts = null, private array $known = [])
    {
    }

    /**
     * @param  list<string>|null  $frameHeaders  X-Frame-Options and Content-Security-Policy of what the frames have; null: not asked
     * @return non-empty-list<Told> the worst first
     */
    public function of(PageTags $tags, FetchedPage $page, Expected $expected, ?array $frameHeaders = null): array
    {
        $told = $expected->isOut ? [] : [new Told(
            Verdict::NotPublished,
            "\"$expected->name\" was never published, so its code shows nothing.",
            'Publish it on its bench.',
        )];
        $told = [...$told, ...($expected->selector === null
            ? $this->ofTag($tags, $page, $expected, $frameHeaders)
            : $this->ofPlace($tags, $page, $expected))];
        if ($told === [] || max(array_map(fn (Told $one): int => $one->verdict->weight(), $told)) < 2) {
            $told = [...$this->address($page), ...$told];
        }
        usort($told, fn (Told $one, Told $other): int => $other->verdict->weight() <=> $one->verdict->weight());

        return $told === [] ? [new Told(Verdict::Right, "\"$expected->name\" is there.")] : $told;
    }

    /**
     * @param  list<string>|null  $frameHeaders
     * @return list<Told>
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
            $told[] = new Told(
                Verdict::Twice,
                'Its code is on the page '.(count($seen) + count($frames)).' times.',
                'Take out all but one, unless you want it so.',
            );
        }
        if ($frames !== []) {
            $told = [...$told, ...$this->ofFrame($tags, $page, $frames[0], $frameHeaders)];
        }
        if ($elements !== [] && $frames === []) {
            if ($seen === []) {
                $told[] = new Told(
                    Verdict::Hidden,
                    'Its code stands inside something that the page hides.',
                    'Move it out, or show that part of the page; in a hidden part it is not seen and not counted.',
                );
            }
            $told = [...$told, ...$this->ofScript($tags, $page, ($seen[0] ?? $elements[0])->hasEdition(), $tags->scripts)];
        }

        return $told;
    }

    /** What stands there instead of its code. */
    private function absent(PageTags $tags, Expected $expected): Told
    {
        if (array_intersect($tags->escaped, $expected->keys) !== []) {
            return new Told(
                Verdict::Escaped,
                'Its code stands on the page as words that visitors read.',
                'Paste it into a block for custom HTML, or into the HTML view of the editor, and not as text.',
            );
        }
        $others = array_values(array_filter(
            $tags->elements,
            fn (Tag $tag): bool => ! in_array($tag->key, $this->known, true) && ! $tag->isHidden(),
        ));
        if ($others !== []) {
            $key = mb_strimwidth($others[0]->key, 0, 40, '…');

            return new Told(
                Verdict::OtherKey,
                $key === '' ? 'There is a widget without a key.'
                    : "There is a widget with the key \"$key\", which this site does not have.",
                'Copy the code of the widget once more, whole.',
            );
        }
        $scripts = array_filter($tags->scripts, fn (Tag $tag): bool => ! $tag->isOther);
        if ($scripts !== [] && $tags->elements === []) {
            return new Told(
                Verdict::ElementGone,
                'The script is there, and the element beside it was taken out.',
                'The page builder takes out elements that it does not know when it saves: use the code with the frame.',
            );
        }

        return new Told(
            Verdict::Missing,
            'Nothing of it is on the page.',
            $expected->isSure ? 'Paste its code where it should be, or take its spot away.' : 'Paste its code where it should be.',
        );
    }

    /**
     * @param  list<Tag>  $scripts
     * @return list<Told>
     */
    private function ofScript(PageTags $tags, FetchedPage $page, bool $hasEdition, array $scripts): array
    {
        $own = array_values(array_filter([...$scripts, ...$tags->siteScripts], fn (Tag $tag): bool => ! $tag->isOther));
        $running = array_values(array_filter($own, fn (Tag $tag): bool => ! $tag->isHeld));
        if ($own === []) {
            return $hasEdition ? [] : [new Told(
                Verdict::ScriptGone,
                'The element is there, and the script beside it was taken out.',
                'The page builder takes out scripts when it saves: use the code with the frame, or the site’s own tag once.',
            )];
        }
        if ($running === []) {
            return [new Told(
                Verdict::Held,
                'The script waits until visitors agree to something.',
                'Gnomic sets no cookie and keeps nothing: list its script as necessary in the settings of the consent banner.',
            )];
        }
        $insecure = array_filter($running, fn (Tag $tag): bool => self::isMixed($page->address, $tag->address));
        if (count($insecure) === count($running)) {
            return [new Told(
                Verdict::Mixed,
                'The page is protected (https) and asks for the script without protection (http), which browsers refuse.',
                'Write https:// in the code, and let Gnomic answer there.',
            )];
        }

        return $this->ofPolicies($tags, $page, array_values(array_diff_key($running, $insecure))[0], $hasEdition);
    }

    /** @return list<Told> */
    private function ofPolicies(PageTags $tags, FetchedPage $page, Tag $script, bool $hasEdition): array
    {
        $nonce = $script->element->getAttribute('nonce');
        $wanted = [
            new Wanted(
                Need::Script,
                $script->address === '' ? "$this->host/gnomic.js" : $script->address,
                $nonce,
                $script->element->getAttribute('integrity'),
            ),
            new Wanted(Need::Script, "$this->host/b/0123456789ab.js", $nonce),
            new Wanted(Need::Connect, "$this->host/w/".($this->known[0] ?? 'key').'.html'),
            new Wanted(Need::Picture, "$this->host/w/p/0-640.webp"),
            ...($hasEdition ? [new Wanted(Need::Style, null)] : []),
        ];

        return $this->refusals($tags, $page, $wanted);
    }

    /**
     * @param  list<Wanted>  $wanted
     * @return list<Told>
     */
    private function refusals(PageTags $tags, FetchedPage $page, array $wanted): array
    {
        $told = [];
        foreach (ContentPolicy::all($page->policies, $page->reporting, $tags->metas) as $policy) {
            $refusals = [];
            foreach ($wanted as $one) {
                $refusal = $policy->refuses($one, $page->address);
                if ($refusal !== null) {
                    $refusals[] = [$refusal, $one];
                }
            }
            if ($refusals !== []) {
                $told[] = self::refusal($policy, $refusals);
            }
        }

        return $told;
    }

    /** @param  non-empty-list<array{Refusal, Wanted}>  $refusals  of one policy */
    private static function refusal(ContentPolicy $policy, array $refusals): Told
    {
        $whose = $policy->from === 'meta' ? 'The Content-Security-Policy in a meta element of the page'
            : 'The Content-Security-Policy that the page is sent with';
        $said = $lines = $others = [];
        $isVital = false;
        foreach ($refusals as [$refusal, $wanted]) {
            $isBehaviour = str_contains((string) $wanted->address, '/b/');
            $isVital = $isVital || ($refusal->need->isVital() && ! $isBehaviour);
            $what = $wanted->address === null ? 'styles in the page' : (parse_url($wanted->address, PHP_URL_PATH) ?: $wanted->address);
            $consequence = $isBehaviour ? 'what moves or opens stays still' : $refusal->need->consequence();
            // What follows from a script that does not run need not be told as well.
            if (! ($isBehaviour && $said !== [])) {
                $said[] = "$what by its $refusal->directive ($consequence)";
            }
            $refusal->line === null ? $others[$refusal->next] = true : $lines[$refusal->line] = true;
        }
        $where = $policy->from === 'meta' ? 'in the meta element of the page' : 'in the header of the page';
        $next = [
            ...array_keys($others),
            ...($lines === [] ? [] : ["Write this $where, instead of directives of these names, or as new ones beside the others."]),
        ];
        $verdict = match (true) {
            ! $policy->isEnforced => Verdict::Reported,
            $isVital => Verdict::Policy,
            default => Verdict::Partly,
        };

        return new Told(
            $verdict,
            ($policy->isEnforced ? "$whose refuses " : 'A policy that only reports would refuse ').implode('; ', $said).'.',
            ($policy->isEnforced ? '' : 'Before it is enforced: ').implode(' ', $next),
            $lines === [] ? null : implode('; ', array_keys($lines)),
        );
    }

    /**
     * @param  list<string>|null  $headers
     * @return list<Told>
     */
    private function ofFrame(PageTags $tags, FetchedPage $page, Tag $frame, ?array $headers): array
    {
        if ($frame->isHeld) {
            return [new Told(
                Verdict::Held,
                'The frame waits until visitors agree to something.',
                'Gnomic sets no cookie and keeps nothing: list it as necessary in the settings of the consent banner.',
            )];
        }
        if ($frame->isHidden()) {
            return [
                new Told(Verdict::Hidden, 'The frame stands inside something that the page hides.', 'Move it out, or show that part.'),
            ];
        }
        if (self::isMixed($page->address, $frame->address)) {
            return [new Told(
                Verdict::Mixed,
                'The page is protected (https) and has a frame without protection (http), which browsers refuse.',
                'Write https:// in the code, and let Gnomic answer there.',
            )];
        }
        $blocked = $headers === null ? null : FrameHeaders::blocks($headers, $page->address, $frame->address);
        if ($blocked !== null) {
            return [new Told(
                Verdict::FrameBlocked,
                $blocked,
                'Something between Gnomic and its visitors adds this header. Take it away for addresses under /w/.',
            )];
        }
        $told = $this->refusals($tags, $page, [new Wanted(Need::Frame, $frame->address)]);
        $sandbox = $frame->element->hasAttribute('sandbox') ? strtolower($frame->element->getAttribute('sandbox')) : null;
        if ($sandbox !== null && ! str_contains($sandbox, 'allow-scripts')) {
            $told[] = new Told(
                str_contains($sandbox, 'allow-popups') ? Verdict::Partly : Verdict::FrameBlocked,
                'The frame has the attribute sandbox, and lets no script run: it keeps its stated height, and links may not open.',
                'Write sandbox="allow-scripts allow-popups allow-popups-to-escape-sandbox", or take the attribute away.',
                'sandbox="allow-scripts allow-popups allow-popups-to-escape-sandbox"',
            );
        }

        return $told;
    }

    /** @return list<Told> of a widget that the site's own tag puts in */
    private function ofPlace(PageTags $tags, FetchedPage $page, Expected $expected): array
    {
        $own = array_values(array_filter($tags->siteScripts, fn (Tag $tag): bool => $tag->key === $this->siteKey));
        if ($own === []) {
            return [$tags->siteScripts === []
                ? new Told(
                    Verdict::Missing,
                    'The tag of the site is not on the page.',
                    'Paste it once into the head or the foot of all pages.',
                )
                : new Told(Verdict::OtherKey, 'The tag is that of another site.', 'Copy the tag of this site, and paste it instead.')];
        }
        $told = [];
        $places = self::found($tags, (string) $expected->selector);
        if ($places === null) {
            $told[] = new Told(
                Verdict::NoPlace,
                "\"$expected->selector\" is no selector that browsers understand.",
                'Point at the place once more.',
            );
        } elseif ($places === 0) {
            $told[] = new Told(
                Verdict::NoPlace,
                "Nothing on the page fits \"$expected->selector\", where it should stand.",
                'The page has changed: point at the place once more. Where a script makes that part of the page, visitors have it.',
            );
        } elseif ($places > 1) {
            $told[] = new Told(
                Verdict::ManyPlaces,
                "\"$expected->selector\" fits $places parts of the page; it stands at the first.",
                'Point at the place once more, for one that is meant alone.',
            );
        }

        return [...$told, ...$this->ofScript($tags, $page, false, [])];
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

    /** @return list<Told> */
    private function address(FetchedPage $page): array
    {
        $host = strtolower((string) parse_url($page->address, PHP_URL_HOST));
        $port = parse_url($page->address, PHP_URL_PORT);
        if ($this->hosts === null || AllowedHosts::of($this->hosts)->allows($host, is_int($port) ? $port : null)) {
            return [];
        }

        return [new Told(
            Verdict::NotAllowed,
            "Widgets of this site do not show on $host: it is not among its addresses.",
            "Add $host to the site’s addresses.",
        )];
    }

    private static function isMixed(string $page, string $address): bool
    {
        return str_starts_with(strtolower($page), 'https:') && str_starts_with(strtolower($address), 'http:')
            && preg_match('~^http://(?:localhost|127\.\d+\.\d+\.\d+|\[::1\])(?:[:/]|$)~i', $address) !== 1;
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
