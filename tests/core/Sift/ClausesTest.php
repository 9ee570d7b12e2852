<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\BriefReader;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Saying;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\SiteContext;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each clause by itself: what it keeps, and why it does not. */
final class ClausesTest extends TestCase
{
    private static function around(string $now = '2026-03-31T12:00:00'): SiteContext
    {
        return new SiteContext(new DateTimeImmutable($now, new DateTimeZone('Europe/London')), [
            'dome' => 'wayleaf',
            'box' => 'ticketwick',
        ],
            ['lane' => (int) (new DateTimeImmutable('2026-02-01', new DateTimeZone('Europe/London')))->getTimestamp()],
            ['queue'],
            ['other' => ['b']],
            'de',
            '/visit/dome');
    }

    private static function at(string $time): int
    {
        return (new DateTimeImmutable($time, new DateTimeZone('Europe/London')))->getTimestamp();
    }

    /**
     * @param  array<string, mixed>  $gather
     * @param  array<string, mixed>  $sift
     */
    #[DataProvider('entries')]
    public function test_why_an_entry_is_kept_out(array $gather, array $sift, Facts $entry, ?string $step, string $reason = ''): void
    {
        $clause = Sieve::of(
            BriefReader::read(['version' => 1, 'gather' => $gather, 'sift' => $sift])->criteria,
            self::around(),
        )->stoppedBy($entry);
        self::assertSame($step, $clause?->key());
        self::assertSame($reason, $clause?->reason($entry) ?? '');
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: array<string, mixed>, 2: Facts, 3: string|null, 4?: string}> */
    public static function entries(): iterable
    {
        $entry = fn (mixed ...$of): Facts => new Facts(
            ...(
                $of
                    + [
                        'id' => 'a',
                        'source' => 'dome',
                        'kind' => 'review',
                        'stars' => 4.0,
                        'length' => 50,
                        'published' => self::at('2026-03-10'),
                    ]
            ),
        );
        yield 'a channel' => [['channels' => ['ticketwick']], [], $entry(), 'channels', 'It comes from Wayleaf, which is not chosen.'];
        yield 'its channel' => [['channels' => ['wayleaf']], [], $entry(), null];
        yield 'a source that is its own channel' => [['channels' => ['rook']], [], $entry(source: 'rook'), null];
        yield 'no subject' => [['subjects' => ['dome']], [], $entry(), 'subjects', 'It is about none of the chosen subjects.'];
        yield 'held' => [[], [], $entry(held: true), 'decided', 'It is held and waits for your decision.'];
        yield 'held, pinned' => [[], ['pins' => ['a']], $entry(held: true), 'decided', 'It is held and waits for your decision.'];
        yield 'a word never shown' => [
            [],
            ['pins' => ['a']],
            $entry(saying: new Saying('The Queue.')),
            'never',
            'It says "queue", which is on the list of words this site never shows.',
        ];
        yield 'figures only' => [
            ['allowed' => [['channel' => 'wayleaf', 'show' => 'figures']]],
            ['pins' => ['a']],
            $entry(),
            'allowed',
            'Of Wayleaf, only the figures may be shown.',
        ];
        yield 'words in full' => [['allowed' => [['channel' => 'wayleaf', 'show' => 'whole']]], [], $entry(), null];
        yield 'shown beside' => [['apartFrom' => ['other']], [], $entry(id: 'b'), 'apart', 'Another widget on the same page shows it.'];
        yield 'shown beside, but pinned here' => [['apartFrom' => ['other']], ['pins' => ['b']], $entry(id: 'b'), null];
        yield 'stars the wrong way round' => [
            [],
            ['stars' => ['from' => 5, 'to' => 4.5]],
            $entry(),
            'stars',
            '4 stars; the widget asks for 4.5 stars and up.',
        ];
        yield 'too short' => [
            [],
            ['length' => ['from' => 51]],
            $entry(),
            'length',
            'Its text is 50 characters long; the widget asks for at least 51 characters long.',
        ];
        yield 'lengths the wrong way round' => [[], ['length' => ['from' => 60, 'to' => 40]], $entry(), null];
        yield 'no picture' => [[], ['withPictures' => true], $entry(), 'pictures', 'It has no picture.'];
        yield 'no reply' => [[], ['withReply' => true], $entry(), 'reply', 'Nobody has replied to it.'];
        yield 'another language' => [
            [],
            ['languages' => ['only' => ['en', 'pt-BR']]],
            $entry(language: 'pt-pt'),
            'languages',
            'It is in Portuguese (Portugal); the widget asks for those in English or Portuguese (Brazil).',
        ];
        yield 'a kind of the language' => [[], ['languages' => ['only' => ['PT']]], $entry(language: 'pt-br'), null];
        yield 'no prefix by accident' => [
            [],
            ['languages' => ['only' => ['pt']]],
            $entry(language: 'pta'),
            'languages',
            'It is in pta; the widget asks for those in Portuguese.',
        ];
        yield 'nobody knows' => [
            [],
            ['languages' => ['only' => ['en']]],
            $entry(),
            'languages',
            'Its language is unknown; the widget asks for those in English.',
        ];
        yield 'the last 22 days begin on that day' => [[], ['when' => ['last' => 22]], $entry(), null];
        yield 'the future is not in the last days' => [
            [],
            ['when' => ['last' => 22]],
            $entry(published: self::at('2026-04-01')),
            'when',
            'It is from 1 April 2026; the widget asks for those of the last 22 days.',
        ];
        yield 'the last 21 days do not' => [
            [],
            ['when' => ['last' => 21]],
            $entry(),
            'when',
            'It is from 10 March 2026; the widget asks for those of the last 21 days.',
        ];
        yield 'a month back from the 31st is the last of February' => [
            [],
            ['when' => ['last' => 1, 'unit' => 'months']],
            $entry(published: self::at('2026-02-28')),
            null,
        ];
        yield 'and not the day before' => [
            [],
            ['when' => ['last' => 1, 'unit' => 'months']],
            $entry(published: self::at('2026-02-27T23:59:59')),
            'when',
            'It is from 27 February 2026; the widget asks for those of the last month.',
        ];
        yield 'to a day, to its end' => [[], ['when' => ['to' => '2026-03-10']], $entry(published: self::at('2026-03-10T23:59:59')), null];
        yield 'days the wrong way round' => [[], ['when' => ['from' => '2026-03-31', 'to' => '2026-03-01']], $entry(), null];
        yield 'undated' => [
            [],
            ['when' => ['from' => '2026-03-01']],
            $entry(published: null),
            'when',
            'It has no date; the widget asks for those since 1 March 2026.',
        ];
        yield 'before its subject reopened' => [
            [],
            ['when' => ['sinceReopened' => true]],
            $entry(subject: 'lane', published: self::at('2026-01-31T23:00')),
            'when',
            'It is from 31 January 2026; the widget asks for those since the subject reopened.',
        ];
        yield 'a subject that never closed' => [[], ['when' => ['sinceReopened' => true]], $entry(subject: 'dome', published: 0), null];
        yield 'none of any' => [
            [],
            ['words' => ['any' => ['dome', 'sky']]],
            $entry(saying: new Saying('Rain')),
            'said',
            'It says none of "dome" or "sky".',
        ];
        yield 'one of all' => [
            [],
            ['words' => ['all' => ['dome', 'sky']]],
            $entry(saying: new Saying('The dome')),
            'said',
            'It does not say "sky".',
        ];
        yield 'one of none' => [
            [],
            ['words' => ['none' => ['rain*']]],
            $entry(saying: new Saying('It rained')),
            'said',
            'It says "rain*", which is left out here.',
        ];
        yield 'words with nothing in them ask nothing' => [[], ['words' => ['any' => ['🌟'], 'all' => ['*']]], $entry(), null];
        yield 'a tag' => [[], ['hashtags' => ['any' => ['#Night Sky']]], $entry(tags: ['night sky']), null];
        yield 'a beginning of a tag' => [[], ['hashtags' => ['all' => ['nigh*']]], $entry(tags: ['night sky']), null];
        yield 'a tag that lacks' => [
            [],
            ['hashtags' => ['all' => ['night']]],
            $entry(tags: ['night sky']),
            'hashtags',
            'It lacks the hashtag "night".',
        ];
        yield 'labels of the page' => [
            [],
            ['labels' => ['any' => ['home'], 'byPage' => [['page' => '/visit*', 'any' => ['dome']]]]],
            $entry(labels: ['dome']),
            null,
        ];
        yield 'labels of another page' => [
            [],
            ['labels' => ['any' => ['home'], 'byPage' => [['page' => '/shop', 'any' => ['dome']]]]],
            $entry(labels: ['dome']),
            'labels',
            'It has none of the labels "home".',
        ];
    }

    public function test_another_speaks_where_the_channel_of_the_first_shows_figures_only(): void
    {
        $entry = new Facts('b', 'box', 'review', 5.0, 9, 1, duplicateOf: ['dome']);
        $stopped = fn (array $allowed): ?string => Sieve::of(
            BriefReader::read(['version' => 1, 'gather' => ['allowed' => $allowed]])->criteria,
            self::around(),
        )->stoppedBy($entry)?->key();
        self::assertSame('once', $stopped([]));
        self::assertNull($stopped([['channel' => 'wayleaf', 'show' => 'figures']]));
        self::assertFalse(
            Sieve::of(
                BriefReader::read(['version' => 1, 'gather' => ['allowed' => [['channel' => 'wayleaf', 'show' => 'figures']]]])->criteria,
                self::around(),
            )->counts($entry),
            'it still counts once',
        );
    }
}
