<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Entry\Html;

/** What a page proposes: a look for each of its sections, with evidence, and what could not be read. */
final readonly class Matching
{
    /** Bytes of text that are looked at for that. */
    private const MOST = 10_000;

    /** Characters of text below which a page that has scripts is said to be built by them. */
    private const SPARSE = 200;

    /**
     * @param  list<Proposal>  $proposals  the page itself first
     * @param  list<string>  $doubts  in words
     */
    private function __construct(public array $proposals, public array $doubts)
    {
    }

    /**
     * @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch  as Page::styles()
     * @param  (Closure(string): (array{string, string}|null))|null  $extremes  the darkest and the lightest colour of a picture, by its
     *     address as it is written; null where nobody can say
     */
    public static function of(StyledPage $page, Closure $fetch, Viewport $viewport, ?Closure $extremes = null): self
    {
        $body = $page->body();
        if ($body === null) {
            $doubts = self::doubts($page);

            return new self([], $doubts === [] ? ['This page has no body, so no look can be read from it.'] : $doubts);
        }
        $doubtful = 0;
        $proposals = self::proposals($body, $page, $fetch, $viewport, $extremes, $doubtful);
        if (! $viewport->isDark) {
            // A page that is dark for those who prefer it so proposes both.
            $dark = self::proposals($body, $page, $fetch, $viewport->dark(), $extremes, $doubtful);
            $proposals = array_map(fn (Proposal $one): Proposal => $one->withDark($dark), $proposals);
        }

        $told = $doubtful === 0 ? [] : [
            ($doubtful === 1 ? 'One rule was not understood' : "$doubtful rules were not understood")
                .'; what rests on '.($doubtful === 1 ? 'it' : 'them').' is not sure.',
        ];

        return new self($proposals, [...self::doubts($page), ...$told]);
    }

    /**
     * @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch
     * @param  (Closure(string): (array{string, string}|null))|null  $extremes
     * @param  int  $doubtful  grows to how many rules were not understood
     * @return list<Proposal>
     */
    private static function proposals(
        DOMElement $body,
        StyledPage $page,
        Closure $fetch,
        Viewport $viewport,
        ?Closure $extremes,
        int &$doubtful,
    ): array {
        $styles = $page->styles($viewport, $fetch);
        $narrow = $page->styles($viewport->narrow(), $fetch);
        $reading = new Proposing($styles, $narrow, $body, $page, $fetch);
        $sections = Sections::of($body, $styles, $extremes);
        $tags = self::tags($page, $sections);

        $proposals = array_map(
            fn (Section $section, int $place): Proposal => $reading->proposal($section, $tags[$place] ?? []),
            $sections,
            array_keys($sections),
        );
        $doubtful = max($doubtful, $styles->doubtful(), $narrow->doubtful());

        return $proposals;
    }

    /**
     * Keys of widgets by the place of the section that their codes stand in, the innermost of them.
     *
     * @param  list<Section>  $sections  in the order of the page
     * @return array<int, list<string>>
     */
    private static function tags(StyledPage $page, array $sections): array
    {
        $tags = [];
        foreach (Html::elements($page->document, 'gnomic-widget') as $tag) {
            for ($place = count($sections) - 1; $place >= 0; $place--) {
                if (self::holds($sections[$place]->element, $tag)) {
                    $tags[$place][] = $tag->getAttribute('key');
                    break;
                }
            }
        }

        return $tags;
    }

    private static function holds(DOMElement $element, DOMElement $tag): bool
    {
        for ($at = $tag; $at instanceof DOMElement; $at = $at->parentNode) {
            if ($at->isSameNode($element)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function doubts(StyledPage $page): array
    {
        $document = $page->document;
        $count = fn (string $tag): int => count(Html::elements($document, $tag));
        $text = trim((string) preg_replace('/\s+/', ' ', self::text($page)));
        $doubts = [];
        if ($count('frameset') + $count('frame') > 0 || ($count('iframe') > 0 && mb_strlen($text) < self::SPARSE)) {
            $doubts[] = 'The page is made of frames, and Gnomic does not read what is in them. Use the address of the frame that the '
                .'widget will stand in.';
        } elseif ($count('script') > 0 && mb_strlen($text) < self::SPARSE) {
            $doubts[] = 'The page is built by scripts and is almost empty before they run. Gnomic proposes what it could read; '
                .'paste a style sheet or pick a colour to continue.';
        }
        foreach (Html::elements($document, 'input') as $input) {
            if (strtolower($input->getAttribute('type')) === 'password') {
                $doubts[] = 'The page asks for a password: it may be a sign-in page and not the page that visitors see.';
                break;
            }
        }

        return $doubts;
    }

    private static function text(StyledPage $page): string
    {
        $body = $page->body();
        $text = $body === null ? '' : Html::textOf($body, self::MOST);

        return $text;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'sections' => array_map(fn (Proposal $proposal): array => $proposal->toArray(), $this->proposals),
            'doubts' => $this->doubts,
        ];
    }
}
