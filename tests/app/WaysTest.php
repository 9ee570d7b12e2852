<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Site;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Tests\TestCase;

/** What visitors may choose among the entries, made ahead. */
final class WaysTest extends TestCase
{
    private Site $mine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mine = $this->site();
        $this->mine->update(['languages' => ['en', 'de']]);
        $stars = [5, 5, 4.5, 4, 3, 1];
        $this->store($this->source($this->mine), array_map(fn (float $given, int $at): Entry => new Entry(
            "e$at",
            Kind::Review,
            author: new Author("Ines $at"),
            rating: Rating::on(Scale::ofStars(), $given),
            text: "Of $given.",
            published: new \DateTimeImmutable('2026-01-0'.($at + 1)),
            tags: $at % 2 === 0 ? ['dome'] : [],
        ), $stars, array_keys($stars)));
    }

    /**
     * @param  array<string, mixed>  $brief
     * @return list<string> names of the files that visitors choose by
     */
    private function published(array $brief, string $key = 'ways000001'): array
    {
        $widget = $this->mine->widgets()->create(['key' => $key, 'name' => $key, 'brief' => ['version' => 4] + $brief]);
        $this->publish($widget);
        $files = glob(config('gnomic.editions')."/$key/current/by.*.html") ?: [];
        sort($files);

        return array_map(basename(...), $files);
    }

    private function file(string $name, string $key = 'ways000001'): string
    {
        return (string) file_get_contents(config('gnomic.editions')."/$key/current/$name");
    }

    public function test_stars_are_made_ahead_in_every_language_and_none_that_the_owner_leaves_out(): void
    {
        $files = $this->published(['sift' => ['stars' => ['from' => 3]], 'shape' => ['choosing' => ['by' => 'stars']]]);
        self::assertSame(
            ['by.de.s3.html', 'by.de.s4.html', 'by.de.s5.html', 'by.s3.html', 'by.s4.html', 'by.s5.html'],
            $files,
            'none of one star, which is left out; none of two, as there is none',
        );
        self::assertStringContainsString('Of 4.5.', $this->file('by.s4.html'), 'in whole stars, as bars are counted');
        self::assertStringNotContainsString('Of 5.', $this->file('by.s4.html'));
        self::assertStringContainsString('2 of 2 are shown', $this->file('by.s4.html'));
        self::assertStringContainsString('from 6 ratings', $this->file('by.s4.html'), 'the figures stay');
        self::assertStringContainsString('/w/ways000001/by.de.s5.html"', $this->file('open.de.html'));
        self::assertStringContainsString('2 von 2 werden gezeigt', $this->file('by.de.s4.html'));
        self::assertStringContainsString('/w/ways000001/by.s5.html"', $this->file('widget.html'));
    }

    public function test_labels_are_those_that_the_owner_names(): void
    {
        $files = $this->published(['shape' => ['choosing' => ['by' => 'labels', 'labels' => ['dome', 'nowhere']]]]);
        self::assertSame(['by.de.l0.html', 'by.l0.html'], $files, 'nothing has the other');
        self::assertStringContainsString('3 of 3 are shown', $this->file('by.l0.html'));
    }

    public function test_what_is_pinned_is_in_no_choice_that_it_does_not_belong_to(): void
    {
        $this->published(['sift' => ['pins' => ['the-dome:e0']], 'shape' => ['choosing' => ['by' => 'stars']]]);
        self::assertStringNotContainsString('Of 5.', $this->file('by.s1.html'));
    }

    public function test_an_order_that_it_has_already_is_no_choice(): void
    {
        self::assertSame(
            ['by.de.highest.html', 'by.highest.html'],
            $this->published(['sift' => ['order' => 'newest'], 'shape' => ['choosing' => ['by' => 'order']]]),
        );
    }

    public function test_there_are_forty_files_at_most(): void
    {
        $this->mine->update(['languages' => ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'da', 'sv', 'nb', 'fi', 'pl']]);
        $labels = ['dome', 'a', 'b', 'c', 'd', 'e', 'f', 'g'];
        \App\Models\EntryRecord::query()->update(['tags' => json_encode($labels)]);
        $files = $this->published(['shape' => ['choosing' => ['by' => 'labels', 'labels' => $labels]]]);
        self::assertLessThanOrEqual(40, count($files));
        self::assertNotEmpty($files);
    }

    public function test_nothing_is_made_for_who_lets_nothing_be_chosen(): void
    {
        self::assertSame([], $this->published([]));
        self::assertStringNotContainsString('class="choose"', $this->file('widget.html'));
        self::assertSame([], $this->published(['shape' => ['choosing' => ['by' => 'stars'], 'layout' => ['name' => 'rating']]], 'ways000002'));
    }
}
