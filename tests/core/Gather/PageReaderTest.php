<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\PayloadIsUnreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PageReaderTest extends TestCase
{
    private static function linked(string $json): string
    {
        return "<!doctype html><html lang=\"en\"><title>T</title><script type=\"application/ld+json\">$json</script>";
    }

    private static function only(string $html): Entry
    {
        $entries = PageReader::entries($html, null, 'https://a.example/p')->entries;
        self::assertCount(1, $entries);

        return $entries[0];
    }

    /** The same review in every syntax gives the same entry. */
    #[DataProvider('syntaxes')]
    public function test_one_review(string $html): void
    {
        $entry = self::only($html);
        self::assertSame([
            'review',
            'Ellie',
            'Not bad',
            "The lamp burned out.\nI replaced it.",
            'Blend-O',
            '2011-04-01T00:00:00Z',
            '9.2 of 10',
            4.6,
        ],
            [
                $entry->kind->value,
                $entry->author->name,
                $entry->title,
                $entry->text,
                $entry->subject,
                EntryJson::date($entry->published),
                $entry->rating?->spoken(),
                $entry->stars(),
            ]);
        self::assertNull($entry->language, 'what the page is written in is no word about the review');
    }

    /** @return iterable<string, array{string}> */
    public static function syntaxes(): iterable
    {
        yield 'JSON-LD, nested in a graph' => [
            self::linked(
                '{"@context":"https://schema.org/","@graph":[{"@type":["Product","Thing"],"name":"Blend-O","review":[{"@type":"Review","name":"Not bad","author":{"@type":"Person","name":"Ellie"},"datePublished":"2011-04-01","reviewBody":"The lamp burned out.<br>I replaced it.","reviewRating":{"@type":"Rating","ratingValue":"9.2","bestRating":10}}]}]}',
            ),
        ];
        yield 'JSON-LD, by reference' => [
            self::linked(
                '[{"@context":"http://schema.org","@type":"Product","@id":"#b","name":"Blend-O"},{"@type":"schema:Review","itemReviewed":{"@id":"#b"},"headline":"Not bad","author":"Ellie","dateCreated":"2011-04-01","description":"The lamp burned out.\nI replaced it.","reviewRating":{"ratingValue":9.2,"bestRating":"10"}}]',
            ),
        ];
        yield 'JSON-LD with the usual faults' => [
            self::linked(
                '<!-- {"@type":"Review","name":"Not '
                    .'bad","itemReviewed":{"name":"Blend-O"},"author":[{"name":"Ellie"}],"datePublished":"2011-04-01","reviewBody":"The lamp burned out.<br/>I replaced it.","reviewRating":{"ratingValue":"9,2","bestRating":"10",},} -->',
            ),
        ];
        yield 'microdata' => [
            '<div itemscope itemtype="https://schema.org/Product"><b itemprop="name">Blend-O</b><div itemprop="review" itemscope '
                .'itemtype="https://schema.org/Review"><h3 itemprop="name">Not bad</h3><span itemprop="author" itemscope '
                .'itemtype="https://schema.org/Person"><i itemprop="name">Ellie</i></span><meta itemprop="datePublished" '
                .'content="2011-04-01"><div itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating"><span '
                .'itemprop="ratingValue">9.2</span> of <span itemprop="bestRating">10</span></div><p itemprop="reviewBody">The lamp '
                .'burned out.<br>I replaced it.</p></div></div>',
        ];
        yield 'microdata by itemref' => [
            '<div itemscope itemtype="http://schema.org/Review" itemref="r w"><span itemprop="itemReviewed" itemscope><b '
                .'itemprop="name">Blend-O</b></span><h3 itemprop="name">Not bad</h3><span itemprop="author">Ellie</span><time '
                .'itemprop="datePublished" datetime="2011-04-01">April</time></div><div id="r" itemprop="reviewRating" '
                .'itemscope><data itemprop="ratingValue" value="9.2">great</data><meta itemprop="bestRating" content="10"></div><p '
                .'id="w" itemprop="reviewBody">The lamp burned out.<br>I replaced it.</p>',
        ];
        yield 'RDFa Lite' => [
            '<section vocab="https://schema.org/" typeof="Product"><b property="name">Blend-O</b><div property="review" '
                .'typeof="Review"><h3 property="name">Not bad</h3><span property="author" typeof="Person"><i '
                .'property="name">Ellie</i></span><time property="datePublished" datetime="2011-04-01">April</time><span '
                .'property="reviewRating" typeof="Rating"><meta property="ratingValue" content="9.2"><span '
                .'property="bestRating">10</span></span><p property="reviewBody">The lamp burned out.<br>I replaced '
                .'it.</p></div></section>',
        ];
        yield 'RDFa with prefixes and rel' => [
            '<div xmlns:v="http://rdf.data-vocabulary.org/#" typeof="v:Product"><b property="v:name">Blend-O</b><div '
                .'rel="v:review"><div typeof="v:Review"><h3 property="v:summary">Not bad</h3><span '
                .'property="v:reviewer">Ellie</span><span property="v:dtreviewed" content="2011-04-01">April</span><div '
                .'rel="v:rating"><div typeof="v:Rating"><i property="v:value">9.2</i><i property="v:best">10</i></div></div><p '
                .'property="v:description">The lamp burned out.<br>I replaced it.</p></div></div></div>',
        ];
        yield 'h-review' => [
            '<div class="h-product"><b class="p-name">Blend-O</b><div class="p-review h-review"><h3 class="p-name">Not bad</h3><a '
                .'class="p-author h-card" href="/e">Ellie</a><time class="dt-published" datetime="2011-04-01">April</time><data '
                .'class="p-rating" value="9.2">*</data><data class="p-best" value="10"></data><div class="e-content"><p>The lamp '
                .'burned out.<br>I replaced it.</p></div></div></div>',
        ];
        yield 'hReview of old' => [
            '<div class="hreview"><span class="item"><span class="fn">Blend-O</span></span><h3 class="summary">Not bad</h3><span '
                .'class="reviewer vcard"><span class="fn">Ellie</span></span><abbr class="dtreviewed" '
                .'title="2011-04-01">April</abbr><span class="rating"><span class="value">9.2</span> of <span '
                .'class="best">10</span></span><p class="description">The lamp burned out.<br>I replaced it.</p></div>',
        ];
    }

    public function test_figures_come_along_and_products_are_told_apart(): void
    {
        $page = PageReader::read(
            self::linked(
                '{"@graph":[{"@type":"Product","name":"A","aggregateRating":{"@type":"AggregateRating","ratingValue":"4,4","reviewCount":"1,089"},"review":{"@type":"Review","reviewBody":"Of A"}},{"@type":"Product","name":"B","review":[{"@type":"Review","reviewBody":"Of B"},{"@type":"Review","reviewBody":"Of B too"}]}]}',
            ),
        );
        self::assertSame(
            [['A', 1, '4.4 of 5', 1089], ['B', 2, null, null]],
            array_map(fn ($one) => [$one->name, $one->reviews, $one->figures?->mean->spoken(), $one->figures?->count], $page->described),
        );
        self::assertSame(['A', 'B', 'B'], array_map(fn (Entry $entry): ?string => $entry->subject, $page->reading->entries));
    }

    public function test_what_a_page_says_twice_is_one(): void
    {
        $html = self::linked(
            '{"@type":"Review","author":"Jo","reviewBody":"The very same words.","reviewRating":{"ratingValue":5}}',
        ).'<div class="h-review"><span class="p-author">Jo</span><div class="e-content">The very same words.</div></div>';
        self::assertSame(5.0, self::only($html)->stars());
    }

    public function test_ratings_off_their_scale_and_circles_do_no_harm(): void
    {
        $reading = PageReader::entries(
            self::linked(
                '{"@type":"Product","@id":"#p","name":"P","review":{"@type":"Review","itemReviewed":{"@id":"#p"},"reviewBody":"Words",'
                    .'"reviewRating":{"ratingValue":9}}}',
            ),
        );
        self::assertNull($reading->entries[0]->rating);
        self::assertStringContainsString('scale', (string) $reading->problems[0]);
    }

    public function test_posts_of_a_page(): void
    {
        $entries = PageReader::entries(
            '<div class="h-feed"><a class="p-author h-card" href="/q">Quillmoor</a><article class="h-entry"><a class="u-url" '
                .'href="/1"><h2 class="p-name">Clear</h2></a><time class="dt-published" '
                .'datetime="2026-01-02T03:04:05+01:00">then</time><div class="e-content"><p>Words <img src="s.jpg" '
                .'alt="Sky"></p></div><a class="p-category">#night</a></article></div>',
            null,
            'https://a.example/blog/',
        )->entries;
        self::assertSame(
            ['post', 'https://a.example/1', 'Quillmoor', 'Clear', 'Words', ['night'], 'https://a.example/blog/s.jpg'],
            [
                $entries[0]->kind->value,
                $entries[0]->url,
                $entries[0]->author->name,
                $entries[0]->title,
                $entries[0]->text,
                $entries[0]->tags,
                $entries[0]->media[0]->url,
            ],
        );
    }

    public function test_a_page_without_any_says_what_to_do(): void
    {
        $this->expectException(PayloadIsUnreadable::class);
        $this->expectExceptionMessage('names a feed, though: give the address https://a.example/f.xml');
        PageReader::entries('<link rel="alternate" type="application/rss+xml" href="/f.xml"><p>Hello', null, 'https://a.example/');
    }

    public function test_hostile_markup_is_text_or_gone(): void
    {
        $entry = self::only(
            self::linked(
                '{"@type":"Review","author":"Jo","reviewBody":"<p '
                    .'onclick=x>Hi<script>alert(1)<\\/script></p>","url":"javascript:alert(1)"}',
            ),
        );
        self::assertSame(['Hi', '<p>Hi</p>', null], [$entry->text, $entry->html, $entry->url]);
    }

    public function test_the_words_as_they_came_are_kept(): void
    {
        self::assertSame(
            ['Hi there', '<p onclick=x>Hi   there</p>'],
            [
                self::only(self::linked('{"@type":"Review","reviewBody":"<p onclick=x>Hi   there</p>"}'))->text,
                self::only(self::linked('{"@type":"Review","reviewBody":"<p onclick=x>Hi   there</p>"}'))->original,
            ],
        );
        self::assertNull(self::only(self::linked('{"@type":"Review","reviewBody":"Hi there"}'))->original);
    }

    public function test_names_in_parts_languages_as_things_and_addresses_that_are_no_names(): void
    {
        $entry = self::only(
            self::linked(
                '{"@type":"Review","author":{"@type":"Person","givenName":"Jo","familyName":"Ruskin"},'
                    .'"itemReviewed":"https://a.example/thing","reviewBody":"Words","inLanguage":{"@type":"Language","name":"German",'
                    .'"alternateName":"de_AT"}}',
            ),
        );
        self::assertSame(['Jo Ruskin', null, 'de-AT'], [$entry->author->name, $entry->subject, $entry->language]);
        self::assertNull(self::only(self::linked('{"@type":"Review","reviewBody":"Words","inLanguage":"English"}'))->language);
    }
}
