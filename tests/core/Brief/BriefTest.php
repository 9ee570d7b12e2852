<?php

declare(strict_types=1);

namespace Tests\core\Brief;

use DateTimeImmutable;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\Sentence;
use Gnomic\Brief\SentenceContext;
use Gnomic\Entry\Kind;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\SiteNames;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BriefTest extends TestCase
{
    private const LOOKS = ['window' => 'Window', 'night-ink-3' => 'Night ink'];

    public function test_the_usual_is_ten_of_the_newest(): void
    {
        self::assertSame(
            'Show the newest ten entries. Three across in a grid, with the overall figures above, in Window.',
            Sentence::text(BriefReader::read(['version' => 4]), new SentenceContext(looks: self::LOOKS)),
        );
    }

    public function test_a_brief_reads_aloud(): void
    {
        $brief = BriefReader::read(['version' => 1,
            'gather' => ['sources' => ['dome', 'lane', 'rook'], 'kinds' => ['review', 'post']],
            'sift' => [
                'stars' => ['from' => 3, 'to' => 4],
                'withWords' => true,
                'order' => 'shuffled',
                'limit' => 14,
                'pins' => ['a', 'b'],
                'hidden' => ['c'],
            ],
            'shape' => ['layout' => 'list', 'head' => ['count']], 'dress' => ['name' => 'night-ink']]);
        self::assertSame(
            'Show 14 reviews and posts, shuffled daily from three sources, three to four stars, with words, two pinned first, one '
                .'hidden. In a list, with the number of ratings above, in Night ink, checked every hour and every day.',
            Sentence::text($brief, new SentenceContext(self::site(), ['every hour', 'every day'], self::LOOKS)),
        );
    }

    public function test_in_a_line_the_two_most_telling_conditions_stand_behind_a_comma_or_behind_from(): void
    {
        $sift = ['stars' => ['from' => 4], 'withWords' => true, 'withReply' => true, 'length' => ['from' => 40], 'withPictures' => true, 'order' => 'liked'];
        $short = fn (array $gather): string => Sentence::short(BriefReader::read(['version' => 4, 'gather' => $gather, 'sift' => $sift]), new SentenceContext(self::site()));
        self::assertSame(
            'The ten most liked entries, four stars and up, with words, and two more conditions, three across in a grid',
            $short([]),
        );
        self::assertSame(
            'The ten most liked entries from the Dome, four stars and up, with words, and two more conditions, three across in a grid',
            $short(['sources' => ['dome']]),
        );
    }

    public function test_what_its_sources_bring_alone_is_named(): void
    {
        $kinds = ['dome' => Kind::Review, 'lane' => Kind::Review, 'rook' => Kind::Post, 'hand' => null];
        $context = new SentenceContext(new SiteContext(new DateTimeImmutable('2026-01-01'), kinds: $kinds));
        foreach (['reviews' => ['dome', 'lane'], 'posts' => ['rook'], 'entries' => ['dome', 'rook'], 'entries ' => ['dome', 'hand']] as $noun => $of) {
            $brief = BriefReader::read(['version' => 4, 'gather' => ['sources' => $of]]);
            self::assertStringStartsWith('Show the newest ten '.trim($noun), Sentence::text($brief, $context));
        }
        self::assertStringStartsWith('Show the newest ten entries', Sentence::text(BriefReader::read(['version' => 4]), $context));
    }

    private static function site(): SiteContext
    {
        return new SiteContext(new DateTimeImmutable('2026-01-01'), names: new SiteNames(['dome' => 'the Dome']));
    }

    /** @param  array<string, mixed>  $sift */
    #[DataProvider('phrases')]
    public function test_phrases_follow_the_brief(array $sift, string $phrase): void
    {
        self::assertStringContainsString(
            $phrase,
            Sentence::text(
                BriefReader::read(['version' => 1, 'gather' => ['kinds' => ['review'], 'sources' => ['dome']], 'sift' => $sift]),
                new SentenceContext(self::site()),
            ),
        );
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function phrases(): iterable
    {
        yield [['limit' => 1], 'the newest review from the Dome'];
        yield [['order' => 'highest', 'limit' => 9], 'the nine highest-rated reviews'];
        yield [['order' => 'lowest', 'limit' => 1], 'the lowest-rated review'];
        yield [['stars' => ['from' => 4]], 'four stars and up'];
        yield [['stars' => ['to' => 2, 'unrated' => 'keep']], 'two stars and down or unrated'];
        yield [['stars' => ['from' => 1, 'to' => 1]], 'one star only'];
        yield [['stars' => ['from' => 4.5]], '4.5 stars and up'];
        yield [['stars' => ['from' => 4, 'to' => 3]], 'three to four stars'];
        yield [['order' => 'balanced'], 'a balanced choice of ten reviews from the Dome'];
        yield [['order' => 'shuffled', 'shuffle' => 'visit'], 'ten reviews, shuffled at every visit'];
        yield [['order' => 'liked', 'limit' => 3], 'the three most liked reviews'];
        yield [['languages' => ['only' => ['en', 'de']]], 'from the Dome, in English or German.'];
        yield [['languages' => ['pageFirst' => true]], 'the page’s own language first'];
        yield [['when' => ['last' => 30]], 'of the last 30 days'];
        yield [['when' => ['last' => 1, 'unit' => 'months']], 'of the last month'];
        yield [['when' => ['from' => '2026-06-30', 'to' => '2026-03-01']], 'from 1 March 2026 to 30 June 2026'];
        yield [['when' => ['sinceReopened' => true]], 'since the subject reopened'];
        yield [['words' => ['any' => ['dome', 'night*'], 'none' => ['queue']]], 'saying "dome" or "night*", not saying "queue"'];
        yield [['hashtags' => ['all' => ['a', 'b', 'c', 'd']]], 'tagged all of four'];
        yield [['labels' => ['any' => ['front'], 'byPage' => [['page' => '/x']]]], 'labelled "front", labels by page'];
        yield [['withPictures' => true, 'withReply' => true], 'with pictures, with a reply'];
        yield [['length' => ['from' => 40, 'to' => 1200]], '40 to 1,200 characters long'];
        yield [['most' => ['author' => 1, 'source' => 3]], 'at most one per author, at most three per source'];
    }

    public function test_what_is_written_whole_is_read_the_same(): void
    {
        $brief = BriefReader::read([
            'version' => 1,
            'sift' => ['stars' => ['from' => 4]],
            'shape' => ['shorten' => null, 'autoplay' => 5],
        ]);
        self::assertEquals($brief, BriefReader::read($brief->toArray()));
        self::assertNull($brief->shape->shorten);
    }

    #[DataProvider('wrong')]
    public function test_a_wrong_brief_is_named(mixed $json, string $pointer, string $says): void
    {
        try {
            BriefReader::read($json);
            self::fail('It was taken.');
        } catch (BriefIsWrong $wrong) {
            self::assertSame($pointer, $wrong->pointer);
            self::assertStringContainsString($says, $wrong->getMessage());
        }
    }

    /** @return iterable<string, array{mixed, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no object' => ['x', '/', 'an object'];
        yield 'no version' => [['sift' => []], '/version', 'must be 4'];
        yield 'another version' => [['version' => 9], '/version', 'is 9'];
        yield 'an unknown part' => [['version' => 1, 'sieve' => 1], '/sieve', 'not known. Known here: version, gather'];
        yield 'an unknown member' => [['version' => 1, 'sift' => ['star' => 4]], '/sift/star', 'stars, withWords'];
        yield 'a language that is none' => [
            ['version' => 1, 'sift' => ['languages' => ['only' => ['en_GB!']]]],
            '/sift/languages/only/0',
            'BCP 47',
        ];
        yield 'a day that is none' => [
            ['version' => 1, 'sift' => ['when' => ['from' => '2026-02-30']]],
            '/sift/when/from',
            'a day such as',
        ];
        yield 'too many words' => [
            ['version' => 1, 'sift' => ['words' => ['any' => array_fill(0, 5001, 'a')]]],
            '/sift/words/any',
            'at most 5000',
        ];
        yield 'an unknown member of words' => [
            ['version' => 1, 'sift' => ['words' => ['some' => ['a']]]],
            '/sift/words/some',
            'all, any, none',
        ];
        yield 'a weight beyond its scale' => [
            ['version' => 1, 'sift' => ['balance' => ['variety' => 11]]],
            '/sift/balance/variety',
            'between 0 and 10',
        ];
        yield 'another leave' => [
            ['version' => 1, 'gather' => ['allowed' => [['channel' => 'wayleaf', 'show' => 'some']]]],
            '/gather/allowed/0/show',
            '"everything", "figures", "whole"',
        ];
        yield 'six stars' => [['version' => 1, 'sift' => ['stars' => ['from' => 6]]], '/sift/stars/from', 'between 1 and 5'];
        yield 'a limit of none' => [['version' => 1, 'sift' => ['limit' => 0]], '/sift/limit', 'between 1 and 100'];
        yield 'a limit in words' => [['version' => 1, 'sift' => ['limit' => 'ten']], '/sift/limit', 'a whole number'];
        yield 'an order that is none' => [['version' => 1, 'sift' => ['order' => 'best']], '/sift/order', '"newest", "oldest"'];
        yield 'a pin twice' => [['version' => 1, 'sift' => ['pins' => ['a', 'a']]], '/sift/pins/1', 'repeats "a"'];
        yield 'no kind' => [['version' => 1, 'gather' => ['kinds' => []]], '/gather/kinds', 'at least one'];
        yield 'a layout by its name alone' => [['version' => 4, 'shape' => ['layout' => 'list']], '/shape/layout', 'an object whose "name" is one of'];
        yield 'thirteen across' => [['version' => 1, 'shape' => ['across' => 13]], '/shape/layout/across', 'between 1 and 12'];
        yield 'too fast' => [['version' => 1, 'shape' => ['autoplay' => 1]], '/shape/layout/autoplay', 'between 2 and 15'];
    }
}
