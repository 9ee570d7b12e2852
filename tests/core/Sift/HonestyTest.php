<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\Doubts;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Shape\Variants;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Hold;
use Gnomic\Sift\HonestLine;
use Gnomic\Sift\Honesty;
use Gnomic\Sift\Loosening;
use Gnomic\Sift\Sifting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\AtADay;

/** What visitors are told of a choice, what owners are told of theirs, and what waits for them. */
final class HonestyTest extends TestCase
{
    use AtADay;

    public function test_a_selection_says_so_in_the_languages_of_visitors(): void
    {
        $lines = HonestLine::each(BriefReader::read(['version' => 1, 'sift' => ['stars' => ['from' => 4], 'withWords' => true]]), self::on(), 318);
        $by = array_combine(array_map(fn (HonestLine $line): string => $line->language, $lines), array_map(fn (HonestLine $line): string => "$line->text $line->all", $lines));
        self::assertSame('en', $lines[0]->language);
        self::assertCount(12, $by);
        self::assertSame('A selection: four stars and up, with words. See all (318)', $by['en']);
        self::assertSame('Eine Auswahl: ab 4 Sternen, mit Text. Alle ansehen (318)', $by['de']);
        self::assertSame('抜粋：星4以上、文章あり。 すべて見る（318）', $by['ja']);
    }

    /** @param  array<string, mixed>  $sift */
    #[DataProvider('choices')]
    public function test_only_choices_by_stars_and_words_are_told(array $sift, ?string $says): void
    {
        self::assertSame($says, HonestLine::each(BriefReader::read(['version' => 1, 'sift' => $sift]), self::on(), 9)[0]->text ?? null);
    }

    /** @return iterable<array{array<string, mixed>, string|null}> */
    public static function choices(): iterable
    {
        yield [[], null];
        yield [['limit' => 1, 'languages' => ['only' => ['en']], 'when' => ['last' => 9], 'labels' => ['any' => ['x']], 'order' => 'highest'], null];
        yield [['stars' => ['from' => 1]], null];
        yield [['stars' => ['from' => 5, 'to' => 3]], 'A selection: three stars and up.'];
        yield [['withWords' => true], 'A selection: those with words.'];
        yield [['words' => ['none' => ['x']]], 'A selection: chosen by words.'];
        yield [['length' => ['from' => 9]], 'A selection: chosen by words.'];
    }

    public function test_words_that_a_site_never_shows_are_a_choice_too(): void
    {
        self::assertSame(['byWords'], Honesty::choices(BriefReader::read(['version' => 1]), new Circumstances(new DateTimeImmutable('2026-01-01'), never: ['x'])));
    }

    public function test_everything_is_what_the_figures_rest_on(): void
    {
        $entries = [new Facts('a', 's', 'review', 5.0, 9, 3), new Facts('b', 's', 'review', 1.0, 0, 2), new Facts('c', 't', 'review', 1.0, 9, 1), new Facts('d', 's', 'review', 2.0, 9, 1, hidden: true)];
        $brief = BriefReader::read(['version' => 1, 'gather' => ['sources' => ['s']], 'sift' => ['stars' => ['from' => 4], 'limit' => 1, 'hidden' => ['a']], 'shape' => ['names' => 'initials']]);
        $everything = Honesty::everything($brief);
        self::assertSame(['a', 'b'], Sifting::of($everything, $entries, self::on())->selection()->shown, 'hidden everywhere stays hidden');
        self::assertEquals(Sifting::of($brief, $entries, self::on())->tally->overall(), Sifting::of($everything, $entries, self::on())->tally->overall());
        self::assertSame('initials', $everything->shape->names->value);
        self::assertSame('1 more counts in the figures and is not shown by the owner of this site.', Honesty::note(Sifting::of($everything, $entries, self::on())->tally));
        self::assertSame('Everything that was collected, nothing left out.', Honesty::note(Sifting::of($everything, array_slice($entries, 0, 3), self::on())->tally));
        $many = array_map(fn (int $number): Facts => new Facts("m$number", 's', 'review', 5.0, 9, $number, held: $number < 2), range(0, 119));
        self::assertSame('The newest 100 of 118. 2 more count in the figures and are not shown by the owner of this site.', Honesty::note(Sifting::of($everything, $many, self::on())->tally));
    }

    public function test_what_is_hardly_meant_is_told_with_what_it_is_taken_for(): void
    {
        $about = fn (array $sift): array => array_column(Doubts::about(BriefReader::read(['version' => 1, 'sift' => $sift])), 'text');
        self::assertSame([], $about(['stars' => ['from' => 4], 'words' => ['any' => ['observ*', 'c++', "l'eau", '100%', '$5', 'a|']]]));
        self::assertStringContainsString('from 4 to 5', $about(['stars' => ['from' => 5, 'to' => 4]])[0]);
        self::assertStringContainsString('backwards', $about(['when' => ['from' => '2026-02-01', 'to' => '2026-01-01']])[0]);
        foreach (['/dome.*/i', 'dom(e|es)', '\bdome', '[dD]ome', '^dome$', 'd.*e'] as $pattern) {
            self::assertStringContainsString('looks like a regular expression', $about(['words' => ['any' => [$pattern]]])[0] ?? '', $pattern);
        }
        self::assertStringContainsString('5,000 words are a long list', $about(['words' => ['none' => array_map(fn (int $number): string => "w$number", range(1, 5000))]])[0]);
        self::assertStringContainsString('without a letter or a number', $about(['hashtags' => ['all' => ['#']]])[0]);
    }

    public function test_loosening_goes_by_small_steps_until_the_clause_is_gone(): void
    {
        $phrases = fn (array $sift, string $key): array => array_map(fn (Loosening $looser): string => $looser->phrase, Loosening::of(BriefReader::read(['version' => 1, 'sift' => $sift]), $key));
        self::assertSame(['Four stars and up or unrated', 'Three stars and up', 'Two stars and up', 'Any stars', 'Leave out the stars'], $phrases(['stars' => ['from' => 4]], 'stars'));
        self::assertSame(['Of the last 90 days', 'Of the last six months', 'Of the last twelve months', 'Of the last 24 months', 'Of the last 60 months', 'Leave out the time'], $phrases(['when' => ['last' => 45]], 'when'));
        self::assertSame(['Leave out the words said'], $phrases(['words' => ['any' => ['x']]], 'said'));
        $without = Loosening::without(BriefReader::read(['version' => 1, 'sift' => ['withReply' => true, 'stars' => ['from' => 5], 'most' => ['author' => 1, 'source' => 2]]]), ['reply', 'stars', 'mostOfAuthor']);
        self::assertSame([false, null, null, 2], [$without->brief->withReply, $without->brief->stars, $without->brief->most?->author, $without->brief->most?->source]);
    }

    public function test_what_waits_for_a_decision_says_why(): void
    {
        $hold = new Hold(3.0, ['comet*', 'queue'], true, true);
        $entry = fn (float $stars, string $text, ?string $html = null): Entry => new Entry('a', Kind::Review, rating: Rating::on(Scale::between(1, 10), $stars), text: $text, html: $html);
        self::assertSame(['2.3 stars, and you look at those below three first.', 'Its author has said nothing here before.'], $hold->reasons($entry(4.6, 'Fine'), true));
        self::assertSame([], $hold->reasons($entry(6, 'Fine'), false));
        self::assertSame(['It says "comet*", which you want to look at first.'], $hold->reasons($entry(9, 'COMETS'), false));
        foreach (['see https://a.example/x', 'www.a.example'] as $text) {
            self::assertSame(['It has a link in its words.'], $hold->reasons($entry(9, $text), false));
        }
        self::assertSame(['It has a link in its words.'], $hold->reasons($entry(9, 'here', '<p><a href="https://a.example">here</a></p>'), false));
        self::assertTrue((new Hold)->asksNothing());
        self::assertEquals($hold, Hold::read($hold->toArray()));
        $this->expectException(MemberIsWrong::class);
        Hold::read(['starsBelow' => 6]);
    }

    public function test_variants_are_few_and_named(): void
    {
        $names = fn (array $sift, array $languages = []): array => array_keys(iterator_to_array(Variants::of(BriefReader::read(['version' => 1, 'sift' => $sift]), $languages)->each()));
        self::assertSame([], $names([]));
        self::assertSame(['de', 'ja'], $names(['languages' => ['pageFirst' => true]], ['de', 'ja']));
        self::assertCount(11, $names(['order' => 'shuffled', 'shuffle' => 'visit']));
        self::assertSame(['p0', 'p1'], $names(['labels' => ['byPage' => [['page' => '/a', 'any' => ['x']], ['page' => '/b*']]]]));
        $many = $names(['order' => 'shuffled', 'shuffle' => 'visit', 'languages' => ['pageFirst' => true], 'labels' => ['byPage' => array_map(fn (int $page): array => ['page' => "/$page"], range(1, 50))]], range('a', 'z'));
        self::assertLessThanOrEqual(96, count($many));
        self::assertContains('a.p0.v2', $many);
    }
}
