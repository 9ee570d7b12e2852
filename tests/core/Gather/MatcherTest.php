<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use DateTimeImmutable;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matched;
use Gnomic\Gather\Matching\Matcher;
use PHPUnit\Framework\TestCase;

final class MatcherTest extends TestCase
{
    private static function entry(int $number, string $text = ''): Entry
    {
        return new Entry("e$number", Kind::Review, text: $text, published: new DateTimeImmutable("2026-01-01T00:00:00Z +$number days"));
    }

    /**
     * @param  list<Entry>  $entries
     * @return array<string, Known>
     */
    private static function known(array $entries, bool $gone = false): array
    {
        $known = [];
        foreach ($entries as $entry) {
            $known[$entry->id] = new Known(Digest::of($entry), $gone, $entry->published?->getTimestamp());
        }

        return $known;
    }

    /** @return list<string> */
    private static function ids(Matched $matched): array
    {
        return [
            implode(' ', array_map(fn (Entry $entry) => $entry->id, $matched->new)),
            implode(' ', array_map(fn (Entry $entry) => $entry->id, $matched->changed)),
            implode(' ', $matched->gone),
        ];
    }

    public function test_new_changed_same_and_gone(): void
    {
        $known = self::known([self::entry(1), self::entry(2), self::entry(3), self::entry(4), self::entry(5)]);
        $matched = Matcher::match(
            $known,
            [self::entry(2), self::entry(3, 'edited'), self::entry(4), self::entry(5), self::entry(6), self::entry(6)],
            Coverage::Whole,
        );
        self::assertSame(['e6', 'e3', 'e1'], self::ids($matched));
        self::assertSame(3, $matched->same);
        self::assertNull($matched->held);
    }

    public function test_what_drops_off_the_end_of_a_feed_has_not_gone(): void
    {
        $known = self::known([self::entry(1), self::entry(2), self::entry(3), self::entry(4)]);
        $matched = Matcher::match($known, [self::entry(2), self::entry(4)], Coverage::Newest);
        self::assertSame(['', '', 'e3'], self::ids($matched));
    }

    public function test_what_comes_back_is_told(): void
    {
        self::assertSame(
            ['', 'e1', ''],
            self::ids(Matcher::match(self::known([self::entry(1)], true), [self::entry(1)], Coverage::Whole)),
        );
    }

    public function test_an_empty_answer_and_a_sudden_loss_are_held(): void
    {
        $known = self::known(array_map(self::entry(...), range(1, 9)));
        self::assertStringContainsString('9 entries', (string) Matcher::match($known, [], Coverage::Whole)->held);
        self::assertStringContainsString('9 entries', (string) Matcher::match($known, [], Coverage::Newest)->held);
        self::assertNotNull(Matcher::match($known, array_map(self::entry(...), range(1, 5)), Coverage::Whole)->held);
        self::assertNull(Matcher::match($known, array_map(self::entry(...), range(1, 6)), Coverage::Whole)->held);
        self::assertNull(Matcher::match(self::known([self::entry(1)]), [], Coverage::Whole)->held);
    }

    public function test_nothing_new_changes_nothing(): void
    {
        $entries = array_map(self::entry(...), range(1, 9));
        self::assertTrue(Matcher::match(self::known($entries), $entries, Coverage::Whole)->changesNothing());
    }
}
