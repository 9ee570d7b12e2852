<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\Catalogues;
use App\Editions\LookFiles;
use App\Editions\Renderer;
use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\BriefReader;
use Gnomic\Dress\Dressed;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\EditionInput;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Standing\Overall;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\core\AtADay;
use Tests\TestCase;

/** The widget's markup: what a brief switches on is there, what it switches off is not. */
final class MarkupTest extends TestCase
{
    use AtADay;

    private const MARKS = [
        'rating' => '9.2 out of 10',
        'title' => 'The rings',
        'words' => 'Sharp as a sticker',
        'name' => 'Ines Marlow',
        'date' => '12 November 2026',
        'source' => 'Wayleaf',
        'reply' => 'We told the team',
    ];

    /**
     * @param  array<string, mixed>  $shape
     * @param  list<Entry>|null  $entries
     */
    private function markup(array $shape, ?array $entries = null, ?Overall $overall = null, string $language = 'en'): string
    {
        $entry = new Entry('a', Kind::Review, 'dome', null, 'https://a.example/r?x=1&y=2', new Author('Ines Marlow'), Rating::on(Scale::between(1, 10), 9.2), 'The rings', 'Sharp as a sticker on the lens.',
            language: 'en', published: new DateTimeImmutable('2026-11-12T12:00:00Z'), reply: new Reply('We told the team.'));
        $overall ??= Overall::ofTally([
            ['stars' => 4.6, 'count' => 3, 'source' => 'dome'],
            ['stars' => 2.0, 'count' => 1, 'source' => 'lane'],
        ]);

        $input = new VariantInput(
            BriefReader::read(['version' => 4, 'shape' => $shape]),
            new Chosen($entries ?? [$entry], $overall),
            new SiteMaterial(self::on(), new DateTimeZone('UTC'), pages: ['dome' => new SourcePage('Wayleaf')]),
            app(Catalogues::class)->of($language),
            Dressed::usual(app(LookFiles::class)->all()),
        );

        return app(Renderer::class)->edition('k3y', 'Dome', EditionInput::of(null, ['' => $input], [], []))->fragment;
    }

    #[DataProvider('parts')]
    public function test_each_part_of_a_card_by_itself(string $part): void
    {
        $alone = $this->markup(['card' => [$part], 'head' => []]);
        $without = $this->markup(['card' => array_values(array_diff(array_keys(self::MARKS), [$part])), 'head' => []]);
        foreach (self::MARKS as $name => $mark) {
            self::assertSame($name === $part, str_contains($alone, $mark), "$name beside $part alone");
            self::assertSame($name !== $part, str_contains($without, $mark), "$name without $part");
        }
    }

    /** @return iterable<array{string}> */
    public static function parts(): iterable
    {
        foreach (array_keys(self::MARKS) as $part) {
            yield [$part];
        }
    }

    public function test_everything_off_is_still_a_widget(): void
    {
        $html = $this->markup(['card' => [], 'head' => [], 'honest' => false]);
        self::assertStringContainsString('<article class="card"', $html);
        self::assertStringNotContainsString('part="head"', $html);
        self::assertStringNotContainsString('class="by', $html);
    }

    public function test_the_head_and_its_parts(): void
    {
        $html = $this->markup(['heading' => 'What visitors say', 'head' => ['overall', 'count', 'spread']]);
        self::assertMatchesRegularExpression('~role="heading" aria-level="2" dir="auto">What visitors say<~', $html);
        self::assertStringContainsString('<span class="figure" part="figure">4.0<span class="unseen"> of 5 stars</span></span>', $html);
        self::assertStringContainsString('from 4 ratings<span class="since"> at two sources</span>', $html);
        self::assertStringContainsString('aria-label="5 stars: 0, 4 stars: 3, 3 stars: 0, 2 stars: 1, 1 star: 0"', $html);
        foreach (['overall' => 'class="figure"', 'count' => 'from 4 ratings', 'spread' => 'class="spread '] as $part => $mark) {
            self::assertStringNotContainsString($mark, $this->markup(['head' => array_values(array_diff(['overall', 'count', 'spread'], [$part]))]));
        }
        self::assertStringNotContainsString('part="head"', $this->markup([], null, Overall::ofTally([])), 'no figures of nothing');
    }

    public function test_a_carousel_speaks_and_moves_only_when_told(): void
    {
        $two = [new Entry('a', Kind::Review, text: 'One'), new Entry('b', Kind::Review, text: 'Two')];
        $html = $this->markup(['layout' => ['name' => 'carousel']], $two);
        self::assertStringContainsString('<div class="deck" role="group" aria-roledescription="carousel" aria-label="2 entries">', $html);
        self::assertStringContainsString('aria-label="Reviews"', $html);
        self::assertStringNotContainsString('"Dome"', $html, 'the name of the widget is its owner\'s');
        self::assertStringContainsString('aria-roledescription="slide" aria-label="2 of 2"', $html);
        self::assertStringContainsString('aria-label="Previous"', $html);
        self::assertStringNotContainsString('data-seconds', $html);
        self::assertStringNotContainsString('tool pause', $html);
        $moving = $this->markup(['layout' => ['name' => 'carousel', 'autoplay' => 5]], $two);
        self::assertStringContainsString('data-seconds="5"', $moving);
        self::assertStringContainsString('class="tool pause" part="control" aria-label="Pause"', $moving);
        self::assertLessThan(strpos($moving, 'tool previous'), strpos($moving, 'tool pause'), 'pause comes first');
        self::assertLessThan(strpos($moving, '<article'), strpos($moving, 'tool next'), 'and what moves it before what is moved');
        self::assertStringNotContainsString(
            'class="turn',
            $this->markup(['layout' => ['name' => 'carousel']], [$two[0]]),
            'one card has nowhere to turn',
        );
        self::assertStringNotContainsString('class="turn', $this->markup(['layout' => ['name' => 'list']], $two));
    }

    public function test_as_many_across_as_wished_where_there_is_room(): void
    {
        $two = [new Entry('a', Kind::Review), new Entry('b', Kind::Review)];
        $most = fn (array $shape): int => max([0, ...array_map(
            intval(...),
            preg_match_all('/--across:(\d)/', $this->markup($shape, $two), $found) > 0 ? $found[1] : [],
        )]);
        self::assertSame([2, 0, 0], [$most(['layout' => ['name' => 'carousel', 'across' => 5]]), $most(['layout' => ['name' => 'carousel', 'across' => 1]]), $most(['layout' => ['name' => 'list']])]);
    }

    public function test_long_words_are_shortened_and_say_so(): void
    {
        $long = [new Entry('a', Kind::Review, text: str_repeat("Two hours went like ten minutes.\n", 20))];
        $html = $this->markup(['shorten' => 80], $long);
        self::assertStringContainsString('<span class="cut">&nbsp;…</span><span class="rest">', $html);
        self::assertStringContainsString('<span class="on">Read more</span>', $html);
        self::assertSame(19, substr_count(strip_tags((string) strstr($html, '<article')), 'Two hours went like ten minutes.') - 2, 'words stand there once, one of the sentences around the ellipsis');
        self::assertStringNotContainsString('Read more', $this->markup(['shorten' => null, 'lines' => 0, 'layout' => ['name' => 'list']], $long));
    }

    public function test_words_keep_their_language_and_direction(): void
    {
        $html = $this->markup([], [new Entry('a', Kind::Review, author: new Author('ليلى'), text: 'ليلة ساحرة', language: 'ar')]);
        self::assertStringContainsString('dir="auto" lang="ar"', $html);
        self::assertStringContainsString('<bdi class="name" part="name">ليلى</bdi>', $html);
        $unknown = $this->markup([], [new Entry('a', Kind::Review, text: 'x')]);
        self::assertStringContainsString('dir="auto" lang=""', $unknown, 'of no language that is known: not of the page either');
        self::assertSame(2, substr_count($unknown, 'lang='));
    }

    public function test_links_go_out_harmlessly(): void
    {
        self::assertStringContainsString(
            '<a href="https://a.example/r?x=1&amp;y=2" rel="nofollow ugc noopener" target="_blank">Wayleaf</a>',
            $this->markup([]),
        );
    }

    public function test_the_same_brief_and_entries_give_the_same_bytes(): void
    {
        self::assertSame($this->markup(['heading' => 'x']), $this->markup(['heading' => 'x']));
    }
}
