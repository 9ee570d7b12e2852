<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Author;
use Gnomic\Entry\Comment;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Entry\Translation;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matcher;
use PHPUnit\Framework\TestCase;

final class DigestTest extends TestCase
{
    /** A new member of the common form wants a new version of the digest: see Digest. */
    public function test_the_newest_version_speaks_of_every_member(): void
    {
        $entry = new Entry('a', Kind::Review, author: new Author('Ines'), rating: Rating::on(Scale::ofStars(), 4), reply: new Reply('Thanks.'),
            media: [new Media('image', 'https://pictures.example/a.jpg')], translation: new Translation('Ja.', 'de'), said: [new Comment('Yes.')]);
        self::assertEqualsCanonicalizing(self::members(EntryJson::write($entry)), Digest::members());
    }

    /**
     * @param  array<array-key, mixed>  $of
     * @return list<string> as Digest::members()
     */
    private static function members(array $of): array
    {
        $members = [];
        foreach ($of as $name => $value) {
            $inner = is_array($value) && is_array($value[0] ?? null) ? $value[0] : $value;
            $inner = is_array($inner) ? array_keys($inner) : [];
            $members = [...$members, ...($inner === [] ? [(string) $name] : array_map(fn (int|string $one): string => "$name.$one", $inner))];
        }

        return $members;
    }

    /** Digests are stored: one that comes out otherwise makes every stored entry look edited. */
    public function test_a_version_never_changes(): void
    {
        foreach (self::stored() as ['digest' => $digest, 'entry' => $entry]) {
            self::assertTrue(Digest::agrees($digest, $entry), "{$entry->id}, as it was stored by the first version");
        }
        self::assertSame('3.0a3692ed6ea76a25683f73e702416980', Digest::of(self::stored()[0]['entry']));
    }

    public function test_every_version_tells_an_edit(): void
    {
        foreach (self::stored() as ['digest' => $digest, 'entry' => $entry]) {
            $edited = EntryJson::restored(['text' => "$entry->text Edited."] + EntryJson::write($entry));
            self::assertFalse(Digest::agrees($digest, $edited));
            self::assertFalse(Digest::agrees(Digest::of($entry), $edited));
        }
    }

    public function test_what_an_earlier_version_stored_is_read_again_and_is_the_same(): void
    {
        $known = [];
        foreach (self::stored() as ['digest' => $digest, 'entry' => $entry]) {
            $known[$entry->id] = new Known($digest, false, $entry->published?->getTimestamp());
        }
        $entries = array_column(self::stored(), 'entry');
        $matched = Matcher::match($known, $entries, Coverage::Whole);
        self::assertTrue($matched->changesNothing());
        self::assertSame([count($entries), count($entries)], [$matched->same, count($matched->reread)]);
        self::assertTrue(Digest::isNewest($matched->digests[$entries[0]->id]));
    }

    /** @return list<array{digest: string, entry: Entry}> as the first version stored them */
    private static function stored(): array
    {
        $stored = [];
        foreach (file(dirname(__DIR__, 2).'/app/stored/digests-1.jsonl', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $one = (array) json_decode($line, true);
            $stored[] = ['digest' => is_string($one['digest']) ? $one['digest'] : '', 'entry' => EntryJson::restored($one['entry'])];
        }

        return $stored;
    }
}
