<?php

declare(strict_types=1);

namespace Tests\core\Edition;

use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Advice\Doubts;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Edition\Input\EverythingPages;
use Gnomic\Edition\Input\Variant;
use Gnomic\Edition\Input\Variants;
use Gnomic\Edition\Plan\HonestLine;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Hold;
use Gnomic\Sift\Loosening;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\AtADay;
use Tests\core\InWords;

/** What visitors are told of a choice, what owners are told of theirs, and what waits for them. */
final class HonestyTest extends TestCase
{
    use AtADay;
    use InWords;

    /**
     * @param  array<string, mixed>  $sift
     * @param  list<Facts>|null  $entries
     */
    private static function line(array $sift, int $count = 9, string $language = 'en', ?array $entries = null): ?HonestLine
    {
        $brief = BriefReader::read(['version' => 1, 'sift' => $sift]);
        $selection = Sifting::of($brief->criteria, $entries ?? [], self::on())->selection();

        return Honesty::line($brief, Honesty::choices($brief, self::on(), $selection), $count, self::words($language));
    }

    public function test_a_selection_says_so_in_the_language_of_visitors(): void
    {
        $sift = ['stars' => ['from' => 4], 'withWords' => true];
        self::assertEquals(new HonestLine('A selection: four stars and up, with words.', 'See all (318 entries)'), self::line($sift, 318));
        self::assertEquals(new HonestLine('Eine Auswahl: ab 4 Sternen, mit Text.', 'Alle ansehen (1.318 Einträge)'), self::line($sift, 1318, 'de'));
        foreach ([
            [1, 1, 'nur 1 Stern'],
            [4, 4, 'nur 4 Sterne'],
            [4.5, 5, 'ab 4,5 Sternen'],
            [1, 2, 'bis 2 Sterne'],
            [2, 3, '2 bis 3 Sterne'],
        ] as [$from, $to, $says]) {
            self::assertSame("Eine Auswahl: $says.", self::line(['stars' => ['from' => $from, 'to' => $to]], language: 'de')?->text);
        }
    }

    /** @return list<Facts> */
    private static function some(): array
    {
        return [
            new Facts('a', 's', 'review', 5.0, 9, 3, author: 'jo', likes: 3, tags: ['x'], labels: ['x']),
            new Facts('b', 's', 'review', 1.0, 0, 2, author: 'jo'),
            new Facts('c', 't', 'review', 3.0, 9, 1, author: 'al'),
            new Facts('d', 't', 'post', null, 9, 1),
        ];
    }

    /** @param  array<string, mixed>  $sift */
    #[DataProvider('choices')]
    public function test_whatever_can_move_the_mean_is_told(array $sift, ?string $says): void
    {
        self::assertSame($says, self::line($sift, entries: self::some())?->text);
    }

    /** @return iterable<array{array<string, mixed>, string|null}> */
    public static function choices(): iterable
    {
        yield [[], null];
        yield [['limit' => 1], null];
        yield [['limit' => 1, 'languages' => ['only' => ['en']], 'when' => ['last' => 9], 'order' => 'oldest'], null];
        yield [['limit' => 1, 'order' => 'shuffled'], null];
        yield [['most' => ['source' => 1]], null];
        yield [['stars' => ['from' => 1]], null];
        yield [['order' => 'highest'], null];
        foreach (['highest' => 'the best rated', 'lowest' => 'the lowest rated', 'liked' => 'the most liked', 'longest' => 'the longest',
            'balanced' => 'a balanced choice'] as $order => $says) {
            yield [['order' => $order, 'limit' => 2], "A selection: $says."];
            yield [['order' => $order, 'fewer' => ['phone' => 1]], "A selection: $says."];
        }
        yield [['stars' => ['from' => 5, 'to' => 3]], 'A selection: three stars and up.'];
        yield [['stars' => ['from' => 3, 'unrated' => 'keep']], 'A selection: three stars and up or unrated.'];
        yield [['withWords' => true], 'A selection: those with words.'];
        yield [['words' => ['none' => ['x']]], 'A selection: chosen by words.'];
        yield [['length' => ['from' => 9]], 'A selection: chosen by words.'];
        yield [['labels' => ['any' => ['x']]], 'A selection: chosen by tags.'];
        yield [['hashtags' => ['any' => ['x']], 'withPictures' => true, 'withReply' => true], 'A selection: chosen by tags, with pictures, with a reply.'];
        yield [['most' => ['author' => 1]], 'A selection: one of each author.'];
        yield [['most' => ['author' => 2]], null];
        yield [['pins' => ['a']], 'A selection: chosen by hand.'];
        yield [['hidden' => ['b']], 'A selection: chosen by hand.'];
        yield [['hidden' => ['nobody']], null];
    }

    public function test_what_is_hidden_or_held_everywhere_makes_a_selection(): void
    {
        foreach (['hidden', 'held'] as $mark) {
            $entries = [...self::some(), new Facts('e', 's', 'review', 1.0, 9, 5, ...[$mark => true])];
            self::assertSame('A selection: chosen by hand.', self::line([], entries: $entries)?->text);
        }
    }

    public function test_words_that_a_site_never_shows_are_a_choice_too(): void
    {
        $site = new SiteContext(new DateTimeImmutable('2026-01-01'), never: ['x'], shownBy: ['other' => []]);
        $choices = function (array $gather) use ($site): array {
            $brief = BriefReader::read(['version' => 1, 'gather' => $gather]);

            return Honesty::choices($brief, $site, Sifting::of($brief->criteria, [], $site)->selection());
        };
        self::assertSame([Flattery::ByWords], $choices([]));
        self::assertSame([Flattery::ByWords, Flattery::Apart], $choices(['apartFrom' => ['other']]));
    }

    /** CLDR's plurals of Polish: one, few, many, and other for fractions (from memory). */
    public function test_a_language_of_more_forms_can_say_it(): void
    {
        $polish = new Catalogue('pl', 'pl-PL', 'polski', [
            'list.comma' => ', ',
            'honest.selection' => 'Wybór: {parts}.',
            'honest.seeAll' => 'Wszystkie ({said})',
            'carousel.cards' => '{count, plural, one {# wpis} few {# wpisy} many {# wpisów} other {# wpisu}}',
            'honest.only' => 'tylko {least, plural, one {# gwiazdka} few {# gwiazdki} many {# gwiazdek} other {# gwiazdki}}',
        ]);
        foreach ([1 => 'tylko 1 gwiazdka', 4 => 'tylko 4 gwiazdki', 5 => 'tylko 5 gwiazdek', '4.5' => 'tylko 4,5 gwiazdki'] as $stars => $says) {
            $brief = BriefReader::read(['version' => 1, 'sift' => ['stars' => ['from' => (float) $stars, 'to' => (float) $stars]]]);
            self::assertSame("Wybór: $says.", Honesty::line($brief, [Flattery::Stars], 1, $polish)?->text);
        }
    }

    public function test_pages_of_a_hundred_are_counted_from_the_oldest(): void
    {
        $names = fn (int $count): array => array_map(
            fn (array $page): array => [$page['name'], count($page['entries']), $page['newer'], $page['older']],
            EverythingPages::of($count === 0 ? [] : range($count, 1)),
        );
        self::assertSame([['all.html', 0, null, null]], $names(0));
        self::assertSame([['all.html', 100, null, null]], $names(100));
        self::assertSame([['all.html', 1, null, 'all.1.html'], ['all.1.html', 100, 'all.html', null]], $names(101));
        self::assertSame(
            [['all.html', 50, null, 'all.2.html'], ['all.2.html', 100, 'all.html', 'all.1.html'], ['all.1.html', 100, 'all.2.html', null]],
            $names(250),
        );
        $pages = EverythingPages::of(range(250, 1));
        self::assertSame([250, 201, 200, 101, 100, 1], [
            $pages[0]['entries'][0], $pages[0]['entries'][49], $pages[1]['entries'][0], $pages[1]['entries'][99],
            $pages[2]['entries'][0], $pages[2]['entries'][99],
        ]);
        $many = $names(EverythingPages::SIZE * (EverythingPages::MOST + 3));
        self::assertCount(EverythingPages::MOST, $many);
        self::assertNull(end($many)[3] ?? null, 'the last of them leads nowhere');
    }

    public function test_beyond_what_is_offered_a_new_entry_still_changes_the_newest_page_alone(): void
    {
        foreach ([20_051 => 19_951, 20_100 => 20_000, 20_101 => 19_901, 20_000 => 20_000, 99 => 99, 0 => 0] as $all => $offered) {
            self::assertSame($offered, EverythingPages::offered($all));
            $entries = array_column(EverythingPages::of($all === 0 ? [] : range($all, 1)), 'entries');
            self::assertSame($offered, array_sum(array_map(count(...), $entries)));
        }
        $pages = fn (int $all): array => array_slice(EverythingPages::of(range($all, $all - 19_999), $all), 1);
        self::assertSame($pages(20_050), $pages(20_051));
        self::assertSame('all.200.html', $pages(20_050)[0]['name']);
        self::assertSame($pages(20_100)[5]['entries'], $pages(20_101)[6]['entries']);
        self::assertSame($pages(20_100)[5]['name'], $pages(20_101)[6]['name']);
    }

    public function test_everything_is_what_the_figures_rest_on(): void
    {
        $entries = [
            new Facts('a', 's', 'review', 5.0, 9, 3),
            new Facts('b', 's', 'review', 1.0, 0, 2),
            new Facts('c', 't', 'review', 1.0, 9, 1),
            new Facts('d', 's', 'review', 2.0, 9, 1, hidden: true),
        ];
        $brief = BriefReader::read([
            'version' => 1,
            'gather' => ['sources' => ['s']],
            'sift' => ['stars' => ['from' => 4], 'limit' => 1, 'hidden' => ['a']],
            'shape' => ['names' => 'initials', 'card' => ['words', 'rating', 'pictures']],
        ]);
        $everything = Honesty::everything($brief);
        self::assertSame(
            ['a', 'b'],
            Sifting::of($everything->criteria, $entries, self::on())->selection()->shown,
            'hidden everywhere stays hidden',
        );
        self::assertEquals(
            Sifting::of($brief->criteria, $entries, self::on())->tally->overall(),
            Sifting::of($everything->criteria, $entries, self::on())->tally->overall(),
        );
        self::assertSame('initials', $everything->shape->names->value);
        self::assertSame(['rating', 'words'], $everything->shape->card, 'no more than the cards show');
        self::assertSame(
            '1 more counts towards the rating but is hidden by the owner of this site.',
            Honesty::note(Sifting::of($everything->criteria, $entries, self::on())->tally, 2, self::words()),
        );
        self::assertSame(
            'Everything that was collected, nothing left out.',
            Honesty::note(Sifting::of($everything->criteria, array_slice($entries, 0, 3), self::on())->tally, 2, self::words()),
        );
        $many = array_map(
            fn (int $number): Facts => new Facts("m$number", 's', 'review', 5.0, 9, $number, held: $number < 2),
            range(0, 119),
        );
        self::assertSame(
            'The newest 100 of 118. 2 more count towards the rating but are hidden by the owner of this site.',
            Honesty::note(Sifting::of($everything->criteria, $many, self::on())->tally, 100, self::words()),
        );
    }

    public function test_what_is_hardly_meant_is_told_with_what_it_is_taken_for(): void
    {
        $about = fn (array $sift): array => array_column(Doubts::about(Criteria::read(sift: $sift)), 'text');
        self::assertSame([], $about(['stars' => ['from' => 4], 'words' => ['any' => ['observ*', 'c++', "l'eau", '100%', '$5', 'a|']]]));
        self::assertStringContainsString('from 4 to 5', $about(['stars' => ['from' => 5, 'to' => 4]])[0]);
        self::assertStringContainsString('backwards', $about(['when' => ['from' => '2026-02-01', 'to' => '2026-01-01']])[0]);
        foreach (['/dome.*/i', 'dom(e|es)', '\bdome', '[dD]ome', '^dome$', 'd.*e'] as $pattern) {
            self::assertStringContainsString(
                'looks like a regular expression',
                $about(['words' => ['any' => [$pattern]]])[0] ?? '',
                $pattern,
            );
        }
        self::assertStringContainsString(
            '5,000 words are a long list',
            $about(['words' => ['none' => array_map(fn (int $number): string => "w$number", range(1, 5000))]])[0],
        );
        self::assertStringContainsString('without a letter or a number', $about(['hashtags' => ['all' => ['#']]])[0]);
    }

    public function test_loosening_goes_by_small_steps_until_the_clause_is_gone(): void
    {
        $phrases = fn (array $sift, string $key): array => array_map(
            fn (Loosening $looser): string => $looser->phrase,
            Loosening::of(Criteria::read(sift: $sift), $key),
        );
        self::assertSame(
            ['Four stars and up or unrated', 'Three stars and up', 'Two stars and up', 'Any stars', 'Leave out the stars'],
            $phrases(['stars' => ['from' => 4]], 'stars'),
        );
        self::assertSame(
            [
                'Of the last 90 days',
                'Of the last six months',
                'Of the last twelve months',
                'Of the last 24 months',
                'Of the last 60 months',
                'Leave out the time',
            ],
            $phrases(['when' => ['last' => 45]], 'when'),
        );
        self::assertSame(['Leave out the words said'], $phrases(['words' => ['any' => ['x']]], 'said'));
        $without = Loosening::without(
            Criteria::read(sift: ['withReply' => true, 'stars' => ['from' => 5], 'most' => ['author' => 1, 'source' => 2]]),
            ['reply', 'stars', 'mostOfAuthor'],
        );
        self::assertSame(
            [false, null, null, 2],
            [
                $without->wanted->part('sift')->boolOr('withReply', true),
                Stars::wanted($without->wanted),
                $without->wanted->most->author,
                $without->wanted->most->source,
            ],
        );
    }

    public function test_what_waits_for_a_decision_says_why(): void
    {
        $hold = new Hold(3.0, ['comet*', 'queue'], true, true);
        $entry = fn (float $stars, string $text, ?string $html = null): Entry => new Entry(
            'a',
            Kind::Review,
            rating: Rating::on(Scale::between(1, 10), $stars),
            text: $text,
            html: $html,
        );
        self::assertSame(
            ['2.3 stars, and you look at those below three first.', 'Its author has said nothing here before.'],
            $hold->reasons($entry(4.6, 'Fine'), true),
        );
        self::assertSame([], $hold->reasons($entry(6, 'Fine'), false));
        self::assertSame(['It says "comet*", which you want to look at first.'], $hold->reasons($entry(9, 'COMETS'), false));
        foreach (['see https://a.example/x', 'www.a.example'] as $text) {
            self::assertSame(['It has a link in its words.'], $hold->reasons($entry(9, $text), false));
        }
        self::assertSame(
            ['It has a link in its words.'],
            $hold->reasons($entry(9, 'here', '<p><a href="https://a.example">here</a></p>'), false),
        );
        self::assertTrue((new Hold)->asksNothing());
        self::assertEquals($hold, Hold::read($hold->toArray()));
        $this->expectException(MemberIsWrong::class);
        Hold::read(['starsBelow' => 6]);
    }

    public function test_variants_are_few_and_named(): void
    {
        /**
         * @param  array<string, mixed>  $sift
         * @param  list<string>  $languages
         * @param  non-empty-list<string>  $spoken
         * @return list<string>
         */
        $names = function (array $sift, array $languages = [], array $spoken = ['en']): array {
            $variants = Variants::of(BriefReader::read(['version' => 1, 'sift' => $sift]), [(string) ($spoken[0] ?? 'en'), ...array_slice(array_map(strval(...), array_values($spoken)), 1)], array_map(strval(...), array_values($languages)));

            return array_map(fn (Variant $variant): string => $variant->name, $variants->others());
        };
        self::assertSame([], $names([]));
        self::assertSame(['de'], $names([], spoken: ['en', 'de']), 'a language of the site');
        self::assertSame(['en', 'de', 'ja'], $names(['languages' => ['pageFirst' => true]], ['de', 'ja']));
        self::assertCount(11, $names(['order' => 'shuffled', 'shuffle' => 'visit']));
        self::assertSame(['p0', 'p1'], $names(['labels' => ['byPage' => [['page' => '/a', 'any' => ['x']], ['page' => '/b*']]]]));
        $pages = fn (int $count): array => ['byPage' => array_map(fn (int $page): array => ['page' => "/$page"], range(1, $count))];
        foreach ([1, 2, 7, 24, 50] as $languages) {
            foreach ([1, 3, 50] as $count) {
                foreach (['day', 'visit'] as $shuffle) {
                    $spoken = array_map(fn (int $number): string => "l$number", range(1, $languages));
                    $many = $names(
                        ['order' => 'shuffled', 'shuffle' => $shuffle, 'languages' => ['pageFirst' => true], 'labels' => $pages($count)],
                        range('a', 'z'),
                        $spoken,
                    );
                    self::assertLessThan(Variants::MOST, count($many), 'with the usual one, they are '.Variants::MOST.' at most');
                    self::assertSame($shuffle === 'visit', in_array('v2', $many, true), 'a shuffle has two orders at least');
                }
            }
        }
        $of = Variants::of(BriefReader::read(['version' => 1, 'sift' => ['labels' => $pages(50)]]), ['en', 'de'], []);
        self::assertSame([23, 27], [count($of->pages), $of->left], 'those without room are told');
    }
}
