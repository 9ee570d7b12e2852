<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use Gnomic\Sift\Term;
use Gnomic\Sift\TermFinder;
use Gnomic\Text\Tokens;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Many words at once, held to each of them for itself. */
final class TermFinderTest extends TestCase
{
    public function test_it_finds_what_each_word_for_itself_would(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $alphabet = ['a', 'ab', 'abc', 'b', '天', '文', 'é', 'x1'];
        $draw = fn (int $most): string => implode(' ', array_map(
            fn (): string => $alphabet[$chance->getInt(0, count($alphabet) - 1)],
            range(1, $chance->getInt(1, $most)),
        ));
        for ($round = 0; $round < 400; $round++) {
            $written = array_map(fn (): string => $draw(3).($chance->getInt(0, 2) === 0 ? '*' : ''), range(1, 6));
            $line = Tokens::line($draw(9));
            $said = array_values(array_filter(array_values(array_unique($written)), fn (string $one): bool => self::isIn($one, $line)));
            $finder = TermFinder::of($written);
            self::assertSame($said[0] ?? null, $finder->first($line), "$line: ".implode(', ', $written));
            $missing = array_values(array_diff(array_unique($written), $said));
            self::assertSame($missing[0] ?? null, $finder->firstMissing($line), "$line: ".implode(', ', $written));
        }
    }

    public function test_a_word_in_figures_stays_a_text(): void
    {
        self::assertSame('10', TermFinder::of(['10'])->first(' 10 '));
        self::assertSame('10', TermFinder::of(['10', 'a'])->firstMissing(' a '));
        self::assertNull(TermFinder::of([])->first(' a '));
        self::assertNull(TermFinder::of(['a'])->first(Tokens::line('!')));
    }

    /** By the rule as it is written: the words in a row, the last one going on where a star ends them. */
    private static function isIn(string $written, string $line): bool
    {
        $term = Term::tryFrom($written);

        return $term !== null && str_contains($line, ' '.implode(' ', $term->words()).($term->isBeginning ? '' : ' '));
    }
}
