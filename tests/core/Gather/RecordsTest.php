<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Comment;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Media;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Records\CorkwallPins;
use Gnomic\Gather\Records\Record;
use Gnomic\Gather\Records\ShutterfenPhotos;
use Gnomic\Gather\Records\TicketwickRatings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Services' own records, of which nothing is trusted. */
final class RecordsTest extends TestCase
{
    public function test_ratings_of_a_venue(): void
    {
        $reading = TicketwickRatings::read((string) json_encode(['venue' => ['name' => 'The Dome'], 'ratings' => [
            [
                'rating_id' => 't1',
                'score' => 9.2,
                'headline' => ' Our  evening ',
                'body' => "It was\r\nbright.\u{200B}",
                'guest' => ['name' => 'Ines'],
                'created' => '2026-11-01T20:00:00Z',
                'edited' => null,
                'reply' => ['body' => 'Thank you.', 'at' => '2026-11-02T08:00:00Z'],
            ],
            ['rating_id' => 't2', 'score' => 11, 'body' => 'Off the scale'],
            ['score' => 5, 'body' => 'Nobody knows which'],
            ['rating_id' => 3, 'score' => '8', 'body' => ['not', 'words'], 'guest' => 'nobody', 'created' => 'some day'],
        ]]));
        self::assertSame(['The Dome', 3], [$reading->title, count($reading->entries)]);
        [$first, $second, $third] = $reading->entries;
        self::assertSame(['t1', 'Our evening', "It was\nbright.", 'Ines', '9.2 of 10', 4.6, 'Thank you.', '2026-11-02T08:00:00Z'],
            [
                $first->id,
                $first->title,
                $first->text,
                $first->author->name,
                $first->rating?->spoken(),
                $first->stars(),
                $first->reply?->text,
                EntryJson::date($first->reply?->published),
            ]);
        self::assertSame("It was\r\nbright.\u{200B}", $first->original, 'as it came');
        self::assertNull($second->rating);
        self::assertSame(
            ['3', '', null, null, null],
            [$third->id, $third->text, $third->rating, $third->author->name, $third->published],
            'what has another type is not there',
        );
        self::assertSame(['rating t2', 'rating 3'], array_map(fn ($problem): string => $problem->where, $reading->problems));
    }

    public function test_a_venues_own_figures(): void
    {
        $figures = fn (mixed $overall): ?string => TicketwickRatings::figures(
            (string) json_encode(['venue' => ['overall' => $overall], 'ratings' => []]),
        )?->mean->spoken();
        self::assertSame(
            ['8.9 of 10', null, null, null, null],
            [
                $figures(['score' => 8.9, 'out_of' => 10, 'ratings' => 40]),
                $figures(['score' => null]),
                $figures(['score' => 12, 'out_of' => 10]),
                $figures('none'),
                $figures(['score' => 1, 'out_of' => 0]),
            ],
        );
    }

    public function test_posts_with_pictures_in_several_sizes_and_films_with_a_still(): void
    {
        $size = fn (int $width): array => ['width' => $width, 'height' => $width, 'url' => "https://p.example/$width.jpg"];
        [$reading, $before] = ShutterfenPhotos::read((string) json_encode(['before' => 'p9', 'photos' => [
            ['photo_id' => 'p1', 'caption' => 'Stars #DarkSky #darksky #日本の空 not#this &#39; '
                .'#7', 'taken' => '2026-11-01T20:00:00Z', 'by' => [
                    'handle' => 'q',
                    'name' => 'Quill',
                ], 'remarks' => [['by' => 'leda.v', 'text' => ' Which night? '], ['text' => ''], 'no'], 'likes' => 7, 'comments' => -1, 'permalink' => 'javascript:alert(1)',
                'media' => [
                    ['kind' => 'image', 'sizes' => [$size(1280), $size(320), $size(640)], 'alt' => 'Sky'],
                    ['kind' => 'video', 'url' => 'https://p.example/v.mp4', 'seconds' => 42, 'poster' => [$size(320)]],
                    ['kind' => 'image', 'sizes' => [['url' => 'data:image/png;base64,x']]],
                ]],
            ['caption' => 'no identifier'],
            ['photo_id' => 'p2', 'by' => ['handle' => 'only.handle']],
        ]]));
        self::assertSame('p9', $before);
        self::assertSame(['p1', 'p2'], array_map(fn ($entry): string => $entry->id, $reading->entries));
        [$first, $second] = $reading->entries;
        self::assertSame(
            [['DarkSky', '日本の空'], 7, null, null, 'Quill'],
            [$first->tags, $first->likes, $first->comments, $first->url, $first->author->name],
        );
        self::assertSame(
            ['image https://p.example/1280.jpg 1280', 'image https://p.example/320.jpg 320', 'video https://p.example/v.mp4 '],
            array_map(fn (Media $one): string => "$one->type $one->url $one->width", $first->media),
        );
        self::assertSame([['leda.v', 'Which night?']], array_map(fn (Comment $one): array => [$one->author, $one->text], $first->said));
        self::assertSame([null, null, 42], array_map(fn (Media $one): ?int => $one->seconds, $first->media));
        self::assertSame(['only.handle', '', null], [$second->author->name, $second->text, $second->html]);
        self::assertCount(1, $reading->problems);
    }

    public function test_pins_of_a_board(): void
    {
        [$reading, $pages] = CorkwallPins::read(
            (string) json_encode([
                'pages' => 3,
                'pins' => [
                    [
                        'pin_id' => 'c1',
                        'note' => 'Orion #winter',
                        'pinned' => '2026-01-01T00:00:00Z',
                        'by' => 'Quill',
                        'picture' => ['url' => 'https://p.example/c1.png', 'width' => 640, 'height' => 480],
                    ],
                    ['note' => 'nothing to call it'],
                    ['pin_id' => 'c2'],
                ],
            ]),
        );
        self::assertSame(
            [3, 2, ['winter'], 'Orion #winter', 'https://p.example/c1.png'],
            [
                $pages,
                count($reading->entries),
                $reading->entries[0]->tags,
                $reading->entries[0]->media[0]->alt,
                $reading->entries[0]->media[0]->url,
            ],
        );
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_told_and_nothing_is_taken(string $answer): void
    {
        foreach ([TicketwickRatings::read(...), ShutterfenPhotos::read(...), CorkwallPins::read(...)] as $read) {
            try {
                $read($answer);
                self::fail('it was read');
            } catch (PayloadIsUnreadable $told) {
                self::assertStringContainsString('try again', $told->getMessage());
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => [''];
        yield 'a page' => ['<!doctype html><title>Fault</title>'];
        yield 'cut off' => ['{"ratings": [{"rating_id": "t1"'];
        yield 'another thing' => ['{"hello": "world"}'];
        yield 'a number' => ['42'];
        yield 'bytes' => ["\x07<<%% \xFF"];
        yield 'too deep' => [str_repeat('[', 100).str_repeat(']', 100)];
    }

    public function test_a_record_gives_what_has_the_type_and_null_for_the_rest(): void
    {
        $record = Record::of([
            'text' => ' a  b ',
            'number' => 4,
            'list' => [['x' => 1], 'no'],
            'address' => '//x',
            'negative' => -1,
            'true' => true,
        ]);
        self::assertSame(['a b', null, '4'], [$record->text('text'), $record->text('list'), $record->text('number')]);
        self::assertSame(
            [4.0, null, 4, null],
            [$record->number('number'), $record->number('text'), $record->int('number'), $record->int('negative')],
        );
        self::assertSame(
            [1, null, null, false],
            [count($record->records('list')), $record->address('address'), $record->date('text'), $record->has('missing')],
        );
        self::assertNull(Record::of('nothing')->record('x')->record('y')->text('z'));
    }
}
