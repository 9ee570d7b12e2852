<?php

declare(strict_types=1);

namespace Tests\core\Edition;

use Gnomic\Brief\BriefReader;
use Gnomic\Dress\NameTones;
use Gnomic\Entry\Author;
use Gnomic\Entry\Comment;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Translation;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardPicture;
use Gnomic\Shape\Card\Face;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Naming;
use Gnomic\Shape\Parts\CommentsPart;
use Gnomic\Shape\Parts\FacePart;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\TranslationPart;
use Gnomic\Shape\Parts\VerifiedPart;
use Gnomic\Standing\Overall;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Planned;

/** People and pictures on a card: named as the owner wishes, pictures only where we keep them. */
final class FacesTest extends TestCase
{
    use Planned;

    #[DataProvider('names')]
    public function test_names(?string $name, ?string $short, ?string $initials, string $face): void
    {
        self::assertSame(
            [$name, $short, $initials, $face],
            [Naming::Full->of($name), Naming::Short->of($name), Naming::Initials->of($name), Naming::face($name)],
        );
    }

    /** @return iterable<array{string|null, string|null, string|null, string}> */
    public static function names(): iterable
    {
        yield ['Ines Marlow', 'Ines M.', 'I. M.', 'IM'];
        yield ['Maëlle Durand-Roc', 'Maëlle D.', 'M. D.', 'MD'];
        yield ['Gwil ap Tanner', 'Gwil T.', 'G. T.', 'GT'];
        yield ['Noor', 'Noor', 'N.', 'N'];
        yield ['さくら 三枝', 'さくら 三.', 'さ. 三.', 'さ三'];
        yield ['Ελένη Μαρκάκη', 'Ελένη Μ.', 'Ε. Μ.', 'ΕΜ'];
        yield ['ليلى منصور', 'ليلى م.', 'ل. م.', 'لم'];
        yield ['👩‍🚀 Star Kid', '👩‍🚀 K.', '👩‍🚀. K.', 'SK'];
        yield ['@quill_moor', '@quill_moor', '@.', 'Q'];
        yield [null, null, null, '·'];
    }

    public function test_what_a_source_says_of_it_is_said(): void
    {
        $pages = ['dome' => new SourcePage('Wayleaf', null)];
        $entry = fn (?string $language, bool $verified, ?Translation $translation): Entry => new Entry(
            'e1', Kind::Review, 'dome', text: 'Worte', language: $language, verified: $verified, translation: $translation,
            said: [new Comment('So it was.', 'Teo Brandt')],
        );
        $brief = BriefReader::read(['version' => 4, 'shape' => ['names' => 'short', 'card' => ['words', 'verified', 'translation', 'comments']]]);
        $card = fn (Entry $shown): Card => self::planned($brief, [$shown], pages: $pages)->cards[0];
        $full = $card($entry('de-AT', true, new Translation('Words', 'en-GB')));
        self::assertSame('verified by Wayleaf', $full->part(VerifiedPart::class)?->text);
        self::assertSame(
            ['Translated by Wayleaf', 'Words', 'en-GB'],
            array_values(get_object_vars($full->part(TranslationPart::class) ?? throw new \LogicException)),
        );
        self::assertSame('Teo B.', $full->part(CommentsPart::class)?->said[0]->author, 'named as everybody is');
        $less = $card($entry('en', false, new Translation('Words', 'en')));
        self::assertNull($less->part(VerifiedPart::class), 'nobody says so');
        self::assertNull($less->part(TranslationPart::class), 'it is in that language already');
        self::assertNull($card($entry('de', false, new Translation('Mots', 'fr')))->part(TranslationPart::class), 'nor is that of use here');
    }

    public function test_a_row_of_faces_is_of_different_people_and_says_how_many_there_are_besides(): void
    {
        $brief = BriefReader::read(['version' => 4, 'shape' => ['head' => ['overall', 'faces']]]);
        $shown = array_map(fn (string $name): Entry => new Entry($name, Kind::Review, author: new Author($name)), ['A B', 'A B', 'C D', 'E F']);
        $shown[1] = new Entry('other', Kind::Review, author: new Author('A B'));
        $head = self::planned($brief, $shown, Overall::ofTally([['stars' => 5.0, 'count' => 10, 'source' => 'dome']]))->head;
        self::assertSame(['AB', 'CD', 'EF'], array_map(fn (Face $face): string => $face->initials, $head->faces));
        self::assertSame('and 7 others', $head->others);
        self::assertNull(self::planned($brief, $shown, Overall::ofTally([['stars' => 5.0, 'count' => 3, 'source' => 'dome']]))->head->others);
    }

    public function test_a_face_is_its_picture_or_initials_on_a_colour_of_the_name(): void
    {
        $kept = new StoredPicture([96 => '/p/a-96.webp', 320 => '/p/a-320.webp'], 320, 240);
        self::assertSame(['/p/a-96.webp', 'IM'], [Face::of('Ines Marlow', $kept)->address, Face::of('Ines Marlow', $kept)->initials]);
        self::assertNull(Face::of('Ines Marlow', null)->address);
        // The same name has the same colour, here and everywhere: its CRC-32, whose check value is 0xCBF43926 (ISO 3309).
        self::assertSame(0xCBF43926 % NameTones::COUNT, Face::of('123456789', null)->tone);
        self::assertNotSame(Face::of('Ines Marlow', null)->tone, Face::of('Tomasz Kell', null)->tone);
        foreach (['a', 'b', '', null, 'Ω'] as $name) {
            self::assertTrue(Face::of($name, null)->tone >= 0 && Face::of($name, null)->tone < NameTones::COUNT);
        }
    }

    public function test_the_smallest_picture_that_is_wide_enough(): void
    {
        $kept = new StoredPicture([96 => 's', 320 => 'm', 640 => 'l'], 640, 480);
        self::assertSame(['s', 's', 'm', 'l', 'l'], array_map($kept->at(...), [1, 96, 97, 640, 2000]));
        self::assertSame('s 96w, m 320w, l 640w', $kept->set());
    }

    /**
     * @param  array<string, mixed>  $shape
     * @param  array<string, StoredPicture>  $pictures
     */
    private static function card(array $shape, Entry $entry, array $pictures = []): Card
    {
        $brief = BriefReader::read(['version' => 1, 'shape' => $shape]);

        return self::planned($brief, [$entry], pictures: $pictures)->cards[0];
    }

    public function test_a_card_shows_what_is_kept_and_leaves_no_gap_for_the_rest(): void
    {
        $entry = new Entry('x', Kind::Post, author: new Author('Ines Marlow', image: 'https://a.example/me.jpg'), text: 'Words',
            media: [
                new Media('image', 'https://a.example/1.jpg', alt: 'One'),
                new Media('image', 'https://a.example/lost.jpg'),
                new Media('video', 'https://a.example/v.mp4'),
                ...array_map(fn (int $number): Media => new Media('image', "https://a.example/$number.jpg"), range(2, 9)),
            ]);
        $kept = [];
        foreach (['me', ...array_map(strval(...), range(1, 9))] as $name) {
            $kept["https://a.example/$name.jpg"] = new StoredPicture([320 => "/p/$name.webp"], 320, 240);
        }
        $card = self::card(['card' => ['words', 'face', 'pictures']], $entry, $kept);
        self::assertSame(['/p/me.webp', null], [$card->part(FacePart::class)?->face->address, $card->part(NamePart::class)]);
        self::assertSame(
            ['/p/1.webp', '/p/2.webp', '/p/3.webp', '/p/4.webp'],
            array_map(fn (CardPicture $shot): ?string => $shot->stored?->at(1), $card->part(PicturesPart::class)->pictures ?? []),
        );
        self::assertSame('One', $card->part(PicturesPart::class)?->pictures[0]->alt);
        $bare = self::card(['card' => ['words', 'name'], 'names' => 'initials'], $entry, $kept);
        self::assertSame([null, null], [$bare->part(FacePart::class), $bare->part(PicturesPart::class)]);
        self::assertSame('I. M.', $bare->part(NamePart::class)?->text);
        self::assertNull(self::card(['card' => ['face']], new Entry('y', Kind::Post, text: 'x'))->part(FacePart::class), 'nobody has no face');
    }
}
