<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Entry;
use Gnomic\Entry\Html;
use Gnomic\Gather\Page\Item;
use Gnomic\Gather\Page\Microformats;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\Page\Sitemap;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Microformats in their finer points, and what a site tells programs. */
final class FormatsTest extends TestCase
{
    private static function item(string $html): Item
    {
        return Microformats::itemsIn(Html::document("<!doctype html><body>$html"), 'https://a.example/dir/')[0] ?? self::fail('no item');
    }

    #[DataProvider('values')]
    public function test_where_a_value_stands(string $html, string $name, ?string $value): void
    {
        self::assertSame($value, self::item("<div class=\"h-review\">$html</div>")->text($name));
    }

    /**
     * Of microformats.org/wiki/microformats2-parsing and the value class pattern.
     *
     * @return iterable<string, array{string, string, string|null}>
     */
    public static function values(): iterable
    {
        yield 'text' => ['<p class="p-name">Fine <b>evening</b></p>', 'name', 'Fine evening'];
        yield 'abbr' => ['<abbr class="p-rating" title="4">****</abbr>', 'rating', '4'];
        yield 'data' => ['<data class="p-rating" value="4.5">four and a half</data>', 'rating', '4.5'];
        yield 'img alt' => ['<img class="p-name" src="x.png" alt="Rings">', 'name', 'Rings'];
        yield 'value class' => ['<p class="p-rating">rated <span class="value">4</span> by us</p>', 'rating', '4'];
        yield 'value title' => ['<p class="p-rating"><span class="value-title" title="3.5"> </span>three and a half</p>', 'rating', '3.5'];
        yield 'date and time apart' => [
            '<p class="dt-published"><span class="value">2026-01-02</span> at <span class="value">13:30</span></p>',
            'published',
            '2026-01-02 13:30',
        ];
        yield 'an address made whole' => ['<a class="u-url" href="../r/1">x</a>', 'url', 'https://a.example/r/1'];
        yield 'a picture' => ['<img class="u-photo" src="/p.jpg" alt="">', 'photo', 'https://a.example/p.jpg'];
        yield 'an address as text' => ['<span class="u-url">https://b.example/</span>', 'url', 'https://b.example/'];
        yield 'several classes' => ['<p class="big p-name p-summary">Both</p>', 'summary', 'Both'];
        yield 'not a property' => ['<p class="p-Summary-">No</p>', 'summary', null];
    }

    public function test_markup_is_kept_for_content_and_cards_are_nested(): void
    {
        $item = self::item(
            '<article class="h-entry"><div class="e-content"><p>One <b>two</b></p></div><div class="p-author h-card"><a class="u-url '
                .'p-name" href="/q">Quill</a></div><div class="h-cite"><span class="p-name">Cited</span></div></article>',
        );
        self::assertSame(
            ['<p>One <b>two</b></p>', 'Quill', 'https://a.example/q', 'Cited'],
            [
                $item->item('content')?->text('html'),
                $item->item('author')?->text('name'),
                $item->item('author')?->text('url'),
                $item->item('children')?->text('name'),
            ],
        );
    }

    public function test_names_and_addresses_that_go_without_saying(): void
    {
        self::assertSame(
            ['Bob', 'https://a.example/b'],
            [
                self::item('<a class="h-card" href="/b">Bob</a>')->text('name'),
                self::item('<a class="h-card" href="/b">Bob</a>')->text('url'),
            ],
        );
        self::assertSame('Rings', self::item('<div class="h-card"><img src="/r.png" alt="Rings"></div>')->text('name'));
        self::assertNull(self::item('<div class="h-entry"><div class="e-content">Words</div></div>')->text('name'), 'words are no name');
    }

    public function test_a_post_whose_words_are_its_name_has_no_title(): void
    {
        $entry = fn (string $html): Entry => PageReader::entries("<!doctype html>$html")->entries[0];
        self::assertNull($entry('<p class="h-entry"><span class="p-name e-content">Clear until midnight.</span></p>')->title);
        self::assertSame(
            'Clear',
            $entry('<div class="h-entry"><h2 class="p-name">Clear</h2><p class="e-content">The dome is open.</p></div>')->title,
        );
    }

    public function test_figures_of_a_review_aggregate(): void
    {
        $page = PageReader::read(
            '<div class="h-review-aggregate"><a class="p-item h-item" href="/x">The Dome</a><span class="p-average">9.1</span><span '
                .'class="p-best">10</span><span class="p-count">77</span></div>',
            null,
            'https://a.example/',
        );
        self::assertSame(
            ['The Dome', '9.1 of 10', 77, 'https://a.example/x'],
            [
                $page->described[0]->name,
                $page->described[0]->figures?->mean->spoken(),
                $page->described[0]->figures?->count,
                $page->described[0]->url,
            ],
        );
    }

    public function test_a_site_that_asks_for_nothing_allows_everything(): void
    {
        foreach (['', "User-agent: *\nDisallow:", "garbage\n: :\n\0", 'User-agent: other'] as $text) {
            self::assertTrue(Robots::read($text, 'Gnomic')->allows('/a'), $text);
        }
        $robots = Robots::read(
            "Sitemap: https://a.example/s.xml\nUser-agent: gnomic # that is us\nDisallow: /private\nAllow: /private/open\nDisallow: "
                ."/*?sort=\nUser-agent: *\nDisallow: /",
            'Gnomic',
        );
        self::assertSame(['https://a.example/s.xml'], $robots->sitemaps);
        self::assertSame(
            [true, false, true, false],
            array_map($robots->allows(...), ['/', '/private/x', '/private/open/x', '/list?sort=up']),
        );
        self::assertTrue(Robots::read("User-agent: *\nDisallow: /a+b(", 'x')->allows('/aab'), 'signs of patterns are signs');
    }

    public function test_sitemaps_that_are_broken_or_hostile(): void
    {
        self::assertSame([], Sitemap::read('', 10)->pages);
        self::assertSame(
            'https://a.example/1',
            Sitemap::read('<urlset><url><loc>https://a.example/1</loc></url><url><loc>https://a', 10)->pages[0] ?? null,
            'cut off in the middle',
        );
        self::assertCount(
            10,
            Sitemap::read('<urlset>'.str_repeat('<url><loc>https://a.example/</loc></url>', 500).'</urlset>', 10)->pages,
        );
        self::assertStringNotContainsString(
            'root:',
            implode(
                '',
                Sitemap::read(
                    '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><urlset><url><loc>&e;</loc></url></urlset>',
                    10,
                )->pages,
            ),
        );
        self::assertSame([], Sitemap::read('<html><loc>https://a.example/</loc></html>', 10)->pages, 'only where the protocol has it');
    }
}
