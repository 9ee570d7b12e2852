<?php

declare(strict_types=1);

namespace Tests\against;

use App\Bench\Grounds\LoadPage;
use App\Editions\Catalogues;
use App\Editions\Fragments;
use DateTimeImmutable;
use DateTimeZone;
use DOMElement;
use DOMXPath;
use Gnomic\Brief\BriefReader;
use Gnomic\Dress\Dress;
use Gnomic\Dress\Dressed;
use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Matching\Proposal;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Sift\SiteContext;
use Gnomic\Standing\Overall;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * Whether a widget in the look that was read from a page stands on the lines of that page: put into it where the page has room for one,
 * it and what is around it are measured in Chromium. Parts of a page that a person would take for its text, its heading and its card are
 * marked (data-text, data-heading, data-card, data-place); where nothing is marked they are the first of their kind.
 */
final class Lines
{
    private const WIDTHS = [1280, 390];

    private const TEXT = '(//*[@data-text]|//p[a])[1]';

    private const PLACE = '(//*[@data-place])[1]';

    private const WORDS = [
        'Saturn was so sharp that my daughter asked whether it was a sticker on the lens. Two hours went like ten minutes, and nobody '
            .'wanted to be the first to go home.',
        'Cloud at nine, stars at ten. They kept the dome open for us and talked us through the whole summer sky, until the last visitor '
            .'had seen the double cluster.',
        'Cold, dark, wonderful. Bring gloves and arrive before sunset, for the parking is small and the road up is dark, as it should be '
            .'at such a place.',
    ];

    public function __construct(private readonly LoadPage $load, private readonly Catalogues $catalogues, private readonly Fragments $fragments)
    {
    }

    /**
     * @param  list<string>  $pages  paths
     * @param  string|null  $pictures  folder that pictures of page and widget, one below the other, are put into
     * @return list<array{page: string, width: int, row: string, wanted: mixed, is: mixed, isRight: bool}>
     */
    public function of(array $pages, ?string $pictures = null): array
    {
        $asked = array_map(fn (string $page): array => ['page' => $page, 'widget' => $this->widget($page)], $pages);
        $process = new Process(['node', __DIR__.'/lines.mjs', (string) json_encode(self::WIDTHS), (string) $pictures], dirname(__DIR__, 2), timeout: 240);
        $process->setInput((string) json_encode($asked))->mustRun();

        return json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param  list<array{page: string, width: int, row: string, wanted: mixed, is: mixed, isRight: bool}>  $told
     * @return array<string, array{int, int}> by row: how many are right, of how many
     */
    public static function table(array $told): array
    {
        $table = [];
        foreach ($told as $one) {
            $table[$one['row']] ??= [0, 0];
            $table[$one['row']][0] += (int) $one['isRight'];
            $table[$one['row']][1]++;
        }

        return $table;
    }

    /** HTML of a widget in the look that is proposed for the place. */
    private function widget(string $page): string
    {
        $look = $this->proposal($page)->look;
        $entries = array_map(fn (string $words, int $at): Entry => new Entry("e$at", Kind::Review, 'dome', null,
            "https://wayleaf.example/r/$at", new Author('Ines Marlow'), Rating::on(Scale::ofStars(), 5), null, $words,
            published: new DateTimeImmutable('2026-11-12T12:00:00Z')), self::WORDS, array_keys(self::WORDS));
        $overall = Overall::ofTally([['stars' => 5.0, 'count' => 3, 'source' => 'dome']]);

        return $this->fragments->picture(new VariantInput(
            BriefReader::read(['version' => 4, 'shape' => ['layout' => ['name' => 'grid'], 'heading' => 'What visitors say']]),
            new Chosen($entries, $overall),
            new SiteMaterial(new SiteContext(new DateTimeImmutable('2026-11-26')), new DateTimeZone('UTC')),
            $this->catalogues->of('en'),
            Dressed::of($look, Dress::read()),
        ));
    }

    private function proposal(string $page): Proposal
    {
        $loaded = $this->load->file($page);
        $document = $loaded->page->document;
        $paths = new DOMXPath($document);
        $tag = $document->createElement('gnomic-widget');
        $tag->setAttribute('key', 'here');
        $place = self::first($paths, self::PLACE);
        if ($place !== null) {
            $place->appendChild($tag);
        } else {
            $text = self::first($paths, self::TEXT) ?? throw new RuntimeException("$page has no place for a widget.");
            $text->parentNode?->insertBefore($tag, $text->nextSibling);
        }
        foreach (Matching::of($loaded->page, $loaded->fetch(...), new Viewport)->proposals as $proposal) {
            if ($proposal->tags === ['here']) {
                return $proposal;
            }
        }

        throw new RuntimeException("$page proposes nothing for its widget.");
    }

    private static function first(DOMXPath $paths, string $path): ?DOMElement
    {
        $found = $paths->query($path);
        $first = $found === false ? null : $found->item(0);

        return $first instanceof DOMElement ? $first : null;
    }
}
