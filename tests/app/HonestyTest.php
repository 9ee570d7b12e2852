<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\Behaviours;
use App\Editions\Fragments;
use App\Editions\Glyphs;
use App\Editions\Pointers;
use App\Editions\RatingPicture;
use App\Editions\Renderer;
use App\Editions\StyleSheets;
use App\Editions\Templates;
use App\Editions\UsedStyles;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Illuminate\Contracts\View\Factory;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\View;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What visitors are told of a choice is true to the letter, and what the cards do not show no file tells. */
final class HonestyTest extends TestCase
{
    private Site $mine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mine = $this->site();
    }

    private function entry(int $number, ?float $stars, Kind $kind = Kind::Review): Entry
    {
        return new Entry(
            "e$number",
            $kind,
            author: new Author("Ines Marlow$number"),
            rating: $stars === null ? null : Rating::on(Scale::ofStars(), $stars),
            title: "Title $number",
            text: "Words of number $number.",
            published: new DateTimeImmutable("2026-01-01T00:00:00Z +$number hours"),
            reply: new Reply("Answer to $number"),
            tags: ['secret-tag'],
        );
    }

    /** @param  array<string, mixed>  $brief */
    private function widget(array $brief, string $key = 'honest1234'): Widget
    {
        return $this->publish($this->mine->widgets()->create([
            'key' => $key,
            'name' => 'Dome',
            'brief' => BriefReader::read(['version' => 2] + $brief)->toArray(),
        ]));
    }

    private function file(string $name, string $key = 'honest1234'): string
    {
        clearstatcache(true);

        return (string) file_get_contents(config('gnomic.editions')."/$key/current/$name");
    }

    /** @return array{int, int} what the link says, and how many cards stand on the pages that it leads to, by way of their own links */
    private function offered(): array
    {
        preg_match('/See all \(([\d,]+) (?:entry|entries)\)/', $this->file('widget.html'), $said);
        $cards = 0;
        for ($page = 'all.html'; $page !== null && $cards < 10_000; $page = $next[1] ?? null) {
            $html = $this->file($page);
            $cards += substr_count($html, '<article class="card"');
            self::assertLessThanOrEqual(100, substr_count($html, '<article class="card"'));
            $next = [];
            preg_match('~rel="next" href="/w/honest1234/(all[\w.]*\.html)"~', $html, $next);
        }

        return [(int) str_replace(',', '', $said[1] ?? '-1'), $cards];
    }

    public function test_see_all_says_how_many_there_are_and_leads_to_all_of_them(): void
    {
        $this->store($this->source($this->mine), array_map(fn (int $number): Entry => $this->entry($number, $number % 5 + 1), range(1, 192)));
        $this->store($this->source($this->mine, 'posts'), array_map(fn (int $number): Entry => $this->entry($number, null, Kind::Post), range(1, 48)));
        $this->widget(['gather' => ['sources' => ['the-dome']], 'sift' => ['stars' => ['from' => 4]]]);
        self::assertSame([192, 192], $this->offered());
        EntryRecord::query()->where('source', 'the-dome')->limit(3)->update(['hidden' => true]);
        EntryRecord::query()->where('source', 'the-dome')->where('hidden', false)->limit(2)->update(['held' => true]);
        app(Outbox::class)->site($this->mine, 'Hidden');
        self::assertSame([187, 187], $this->offered());
        self::assertStringContainsString('5 more count towards the rating', $this->file('all.html'));
        self::assertStringNotContainsString('5 more count', $this->file('all.1.html'));

        $widget = Widget::query()->firstOrFail();
        $widget->update(['brief' => BriefReader::read(['version' => 2, 'gather' => ['sources' => ['posts']], 'sift' => ['pins' => ['posts:e1']]])->toArray()]);
        $this->publish($widget);
        self::assertSame([48, 48], $this->offered());
    }

    public function test_older_pages_stay_as_they_are(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, array_map(fn (int $number): Entry => $this->entry($number, 4), range(1, 250)));
        $this->widget(['sift' => ['stars' => ['from' => 5]]]);
        $inode = fn (string $page): int => (int) fileinode(config('gnomic.editions')."/honest1234/current/$page");
        $before = [$inode('all.1.html'), $inode('all.2.html')];
        $this->store($source, [$this->entry(251, 4)]);
        clearstatcache(true);
        self::assertSame($before, [$inode('all.1.html'), $inode('all.2.html')], 'only the newest page is another');
        self::assertSame(51, substr_count($this->file('all.html'), '<article class="card"'));
        $this->store($source, [new Entry('e120', Kind::Review, author: new Author('Edited'), title: 'Edited', text: 'Edited words.',
            rating: Rating::on(Scale::ofStars(), 1), published: new DateTimeImmutable('2026-01-01T00:00:00Z +120 hours'))]);
        clearstatcache(true);
        self::assertStringContainsString('Edited words.', $this->file('all.2.html'));
        self::assertSame($before[0], $inode('all.1.html'));
    }

    public function test_what_stands_around_the_entries_is_the_same_on_every_page(): void
    {
        $this->store($this->source($this->mine), array_map(fn (int $number): Entry => $this->entry($number, 4), range(1, 250)));
        $widget = $this->widget(['sift' => ['stars' => ['from' => 5]]]);
        $pages = fn (string $words): array => array_map(
            fn (string $page): bool => str_contains($this->file($page), $words),
            ['all.html', 'all.2.html', 'all.1.html'],
        );
        $widget->update(['brief' => BriefReader::read(['version' => 4, 'sift' => ['stars' => ['from' => 5]], 'shape' => ['title' => 'Under another name']])->toArray()]);
        $this->publish($widget);
        self::assertSame([true, true, true], $pages('<title>Under another name'));
        // A newer version brings other templates.
        $folder = sys_get_temp_dir().'/gnomic-templates-'.bin2hex(random_bytes(6));
        File::copyDirectory(resource_path('widget'), $folder);
        $this->beforeApplicationDestroyed(fn (): bool => File::deleteDirectory($folder));
        File::replaceInFile('</main>', '<footer>Newer</footer></main>', "$folder/document.blade.php");
        View::replaceNamespace('widget', $folder);
        View::flushFinderCache();
        $templates = new Templates(app(Factory::class), $folder);
        $behaviours = app(Behaviours::class);
        $host = 'https://elsewhere.example';
        $fragments = new Fragments($templates, app(StyleSheets::class), new UsedStyles, $behaviours, app(Glyphs::class), $host);
        $this->app->instance(Renderer::class, new Renderer($fragments, $templates, $behaviours, app(RatingPicture::class), $host));
        $this->publish($widget);
        self::assertSame([true, true, true], $pages('<footer>Newer</footer>'));
    }

    /**
     * @param  array<string, mixed>  $shape
     * @param  list<string>  $untold
     */
    #[DataProvider('shapes')]
    public function test_what_the_cards_do_not_show_no_file_tells(array $shape, array $untold): void
    {
        $this->store($this->source($this->mine), array_map(fn (int $number): Entry => $this->entry($number, $number % 5 + 1), range(1, 120)));
        $this->widget(['sift' => ['stars' => ['from' => 3]], 'shape' => $shape]);
        $folder = config('gnomic.editions').'/honest1234/current';
        $files = glob("$folder/*.{html,json}", GLOB_BRACE) ?: [];
        self::assertGreaterThan(4, count($files));
        foreach ($files as $file) {
            foreach ([...$untold, 'secret-tag'] as $secret) {
                self::assertStringNotContainsString($secret, (string) file_get_contents($file), basename($file));
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function shapes(): iterable
    {
        yield 'initials' => [['names' => 'initials'], ['Marlow', 'Ines']];
        yield 'no names' => [['card' => ['rating', 'words', 'reply', 'title', 'date']], ['Marlow', 'Ines']];
        yield 'no replies' => [['card' => ['rating', 'words', 'name', 'title']], ['Answer to']];
        yield 'no titles' => [['card' => ['rating', 'words', 'name']], ['Title ', 'Answer to']];
        yield 'no words' => [['card' => ['rating', 'date']], ['Words of', 'Title ', 'Marlow', 'Answer to']];
        yield 'no ratings' => [['card' => ['words'], 'head' => []], ['"rating"', 'class="rating', 'Marlow']];
        yield 'no dates' => [['card' => ['words']], ['2026-01', '<time', 'date_published']];
    }

    public function test_the_line_follows_what_is_hidden_and_what_waits(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, array_map(fn (int $number): Entry => $this->entry($number, $number % 5 + 1), range(1, 10)));
        $this->widget(['sift' => ['order' => 'highest', 'limit' => 10]]);
        self::assertStringNotContainsString('A selection', $this->file('widget.html'), 'all there is');
        $this->store($source, [$this->entry(11, 1)]);
        self::assertStringContainsString('A selection: the best rated. <a', $this->file('widget.html'));
        $this->widget([], 'honest5678');
        self::assertStringNotContainsString('A selection', $this->file('widget.html', 'honest5678'));
        $this->actingAs($this->ownerOf($this->mine));
        $this->postJson('/api/entries/marks', ['ids' => ['the-dome:e11'], 'hidden' => true])->assertSuccessful();
        self::assertStringContainsString('A selection: chosen by hand. <a', $this->file('widget.html', 'honest5678'));
        self::assertStringContainsString('See all (10 entries)', $this->file('widget.html', 'honest5678'));
    }

    public function test_a_removed_widget_shows_nothing_or_what_is_not_hidden_by_the_owners_word(): void
    {
        $this->actingAs($this->ownerOf($this->mine));
        $this->store($this->source($this->mine), [$this->entry(1, 5), $this->entry(2, 4)]);
        $this->widget([]);
        $this->widget([], 'honest5678');
        $this->deleteJson('/api/widgets/honest1234')->assertNoContent();
        $this->deleteJson('/api/widgets/honest5678?stays=1')->assertNoContent();
        $this->getJson('/api/widgets')->assertJsonPath('widgets', []);
        $this->getJson('/api/widgets/honest1234')->assertNotFound();
        self::assertStringContainsString('display:none', $this->file('widget.html'));
        self::assertStringNotContainsString('Words', $this->file('widget.html').$this->file('document.html').$this->file('feed.json'));
        self::assertFileDoesNotExist(config('gnomic.editions').'/honest1234/current/all.html');
        self::assertStringContainsString('Words of number 2', $this->file('widget.html', 'honest5678'));
        $this->postJson('/api/entries/marks', ['ids' => ['the-dome:e2'], 'hidden' => true])->assertSuccessful();
        self::assertStringNotContainsString('Words of number 2', $this->file('widget.html', 'honest5678'));
        self::assertStringContainsString('Words of number 1', $this->file('widget.html', 'honest5678'));
        $this->deleteJson('/api/widgets/honest1234?removed=0')->assertNoContent();
        self::assertStringContainsString('Words of number 1', $this->file('widget.html'));
        $this->getJson('/api/widgets')->assertJsonPath('widgets.0.key', 'honest1234');
    }

    public function test_a_pointer_that_is_not_where_it_should_be_is_mended(): void
    {
        $this->store($this->source($this->mine), [$this->entry(1, 5)]);
        $this->widget([]);
        $pointers = app(Pointers::class);
        self::assertSame(0, $pointers->mend(thoroughly: true));
        $folder = config('gnomic.editions').'/honest1234';
        unlink("$folder/current");
        self::assertSame(1, $pointers->mend());
        self::assertStringContainsString('Words of number 1', $this->file('widget.html'));
        unlink("$folder/current");
        symlink('an-edition-before', "$folder/current");
        self::assertSame(1, $pointers->mend());
        self::assertStringContainsString('Words of number 1', $this->file('widget.html'));
        file_put_contents("$folder/current/widget.html.br", '');
        self::assertSame([1, 0], [$pointers->mend(), $pointers->mend()], 'sizes are compared at once');
        $whole = $this->file('widget.html');
        file_put_contents("$folder/current/widget.html", strrev($whole));
        self::assertSame([0, 1, 0], [$pointers->mend(), $pointers->mend(thoroughly: true), $pointers->mend(thoroughly: true)]);
        self::assertSame($whole, $this->file('widget.html'));
        self::assertSame(1, Widget::query()->firstOrFail()->edition?->number, 'it is the same edition');
    }
}
