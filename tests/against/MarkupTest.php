<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Entry\Entry;
use Gnomic\Gather\Page\PageReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

final class MarkupTest extends TestCase
{
    /** schema.org/Review's and /AggregateRating's own example of a product with two reviews (from memory), in JSON-LD and microdata. */
    #[DataProvider('microwave')]
    public function test_schema_orgs_microwave(string $html): void
    {
        $page = PageReader::read($html);
        self::assertSame([
            ['Ellie', 'Not a happy camper', 1.0, 'The lamp burned out and now I have to replace it.', 'Kenmore White 17" Microwave'],
            [
                'Lucas',
                'Value purchase',
                4.0,
                'Great microwave for the price. It is small and fits in my apartment.',
                'Kenmore White 17" Microwave',
            ],
        ],
            array_map(
                fn (Entry $entry): array => [$entry->author->name, $entry->title, $entry->stars(), $entry->text, $entry->subject],
                $page->reading->entries,
            ));
        self::assertSame(['3.5 of 5', 11], [$page->described[0]->figures?->mean->spoken(), $page->described[0]->figures?->count]);
    }

    /** @return iterable<string, array{string}> */
    public static function microwave(): iterable
    {
        yield 'JSON-LD' => [
            '<script type="application/ld+json">{"@context":"https://schema.org","@type":"Product","aggregateRating":{"@type":"AggregateRating","ratingValue":"3.5","reviewCount":"11"},"description":"0.7 cubic feet countertop microwave.","name":"Kenmore White 17\" Microwave","image":"kenmore-microwave-17in.jpg","offers":{"@type":"Offer","availability":"https://schema.org/InStock","price":"55.00","priceCurrency":"USD"},"review":[{"@type":"Review","author":"Ellie","datePublished":"2011-04-01","reviewBody":"The lamp burned out and now I have to replace it.","name":"Not a happy camper","reviewRating":{"@type":"Rating","bestRating":"5","ratingValue":"1","worstRating":"1"}},{"@type":"Review","author":"Lucas","datePublished":"2011-03-25","reviewBody":"Great microwave for the price. It is small and fits in my apartment.","name":"Value purchase","reviewRating":{"@type":"Rating","bestRating":"5","ratingValue":"4","worstRating":"1"}}]}</script>',
        ];
        yield 'microdata' => [
            '<div itemscope itemtype="https://schema.org/Product"><span itemprop="name">Kenmore White 17" Microwave</span><img '
                .'itemprop="image" src="kenmore-microwave-17in.jpg" alt=""><div itemprop="aggregateRating" itemscope '
                .'itemtype="https://schema.org/AggregateRating">Rated <span itemprop="ratingValue">3.5</span>/5 based on <span '
                .'itemprop="reviewCount">11</span> customer reviews</div><div itemprop="review" itemscope '
                .'itemtype="https://schema.org/Review"><span itemprop="name">Not a happy camper</span> - by <span '
                .'itemprop="author">Ellie</span>, <meta itemprop="datePublished" content="2011-04-01">April 1, 2011<div '
                .'itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating"><meta itemprop="worstRating" '
                .'content="1"><span itemprop="ratingValue">1</span>/<span itemprop="bestRating">5</span>stars</div><span '
                .'itemprop="reviewBody">The lamp burned out and now I have to replace it.</span></div><div itemprop="review" '
                .'itemscope itemtype="https://schema.org/Review"><span itemprop="name">Value purchase</span> - by <span '
                .'itemprop="author">Lucas</span>, <meta itemprop="datePublished" content="2011-03-25">March 25, 2011<div '
                .'itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating"><meta itemprop="worstRating" '
                .'content="1"><span itemprop="ratingValue">4</span>/<span itemprop="bestRating">5</span>stars</div><span '
                .'itemprop="reviewBody">Great microwave for the price. It is small and fits in my apartment.</span></div></div>',
        ];
    }

    /** The same microformats as npm microformats-parser finds: name, author, rating, words, date. */
    public function test_microformats_as_an_independent_parser_reads_them(): void
    {
        $html = <<<'HTML'
            <!doctype html><div class="h-review"><p class="p-name">Fine evening</p><a class="p-item h-item" href="/dome">The Dome</a>
            <span class="p-author h-card"><img class="u-photo" src="/b.jpg" alt=""><a class="p-name u-url" href="/bob">Bob Frost</a></span>
            <data class="p-rating" value="4">four stars</data> <time class="dt-published" datetime="2019-05-05T10:00:00+02:00">May</time><a class="u-url" href="/r/1">link</a>
            <div class="e-content"><p>We saw <b>Saturn</b>.</p><p>Twice.</p></div></div>
            <article class="h-entry"><h2 class="p-name">Clear tonight</h2><time class="dt-published" datetime="2020-02-02">then</time><a class="u-url" href="/p/1">x</a><p class="p-summary">Come up.</p><a class="p-category" href="/t">night</a></article>
            HTML;
        $process = new Process(['node', __DIR__.'/read-microformats.mjs', 'https://a.example/'], dirname(__DIR__, 2), null, $html);
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        $entries = PageReader::entries($html, null, 'https://a.example/')->entries;
        $ours = array_map(fn (Entry $entry): array => ['name' => $entry->title, 'author' => $entry->author->name, 'photo' => $entry->author->image, 'rating' => $entry->rating === null ? null : (string) $entry->rating->value,
            'words' => preg_replace('/\s+/', '', $entry->text),
            'url' => $entry->url,
            'published' => $entry->published?->format('Y-m-d'),
            'item' => $entry->subject,
            'category' => $entry->tags], $entries);
        self::assertSame($theirs, $ours);
    }
}
