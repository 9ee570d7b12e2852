<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Touch;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\Tally;
use PHPUnit\Framework\TestCase;
use Tests\core\AtADay;

/** An opinion told at three places, by whichever of them a brief looks at. */
final class CountedOnceTest extends TestCase
{
    use AtADay;

    /** @param  list<string>|null  $sources */
    private static function brief(?array $sources, string ...$pins): Brief
    {
        return BriefReader::read(['version' => 1, 'gather' => ['sources' => $sources], 'sift' => ['pins' => array_values($pins)]]);
    }

    /** @return list<Facts> the directory speaks first, then the box office, then the guest book; and one more */
    private static function told(): array
    {
        return [
            new Facts('dir:a', 'dir', 'review', 5.0, 50, 300),
            new Facts('box:a', 'box', 'review', 4.6, 50, 200, duplicateOf: ['dir']),
            new Facts('book:a', 'book', 'review', 4.0, 50, 100, duplicateOf: ['dir', 'box']),
            new Facts('book:b', 'book', 'review', 2.0, 20, 50),
        ];
    }

    /** @param  list<string>|null  $sources */
    private static function shown(?array $sources): string
    {
        return implode(' ', Sifting::of(self::brief($sources)->criteria, self::told(), self::on())->selection()->shown);
    }

    public function test_one_speaks_among_the_sources_of_the_brief(): void
    {
        self::assertSame('dir:a book:b', self::shown(null));
        self::assertSame('dir:a', self::shown(['dir', 'box']));
        self::assertSame('box:a book:b', self::shown(['box', 'book']), 'the next one speaks');
        self::assertSame('book:a book:b', self::shown(['book']));
        self::assertSame('', self::shown([]));
    }

    public function test_figures_count_it_once_too(): void
    {
        $overall = fn (?array $sources): string => ($found = Tally::ofEach(
            Sieve::of(self::brief($sources === null ? null : array_map(strval(...), array_values($sources)))->criteria, self::on()),
            self::told(),
        )->overall())->count.' '.$found->shown();
        self::assertSame(
            ['2 3.5', '2 3.3', '2 3.0', '1 5.0'],
            [$overall(null), $overall(['box', 'book']), $overall(['book']), $overall(['dir'])],
        );
    }

    public function test_a_pin_brings_no_duplicate_back(): void
    {
        self::assertSame(
            ['dir:a', 'book:b'],
            Sifting::of(self::brief(null, 'box:a')->criteria, self::told(), self::on())->selection()->shown,
        );
    }

    public function test_a_change_of_who_speaks_touches_the_briefs_that_see_it(): void
    {
        [, $box] = self::told();
        $alone = new Facts('box:a', 'box', 'review', 4.6, 50, 200);
        self::assertTrue(Touch::canChange(self::brief(null), self::on(), $alone, $box));
        self::assertTrue(Touch::canChange(self::brief(['box']), self::on(), $alone, $box), 'it is shown before and after');
        self::assertFalse(Touch::canChange(self::brief(['dir']), self::on(), $alone, $box));
    }

    public function test_why_it_is_left_out(): void
    {
        $verdicts = Sifting::of(self::brief(null)->criteria, self::told(), self::on())->verdicts();
        self::assertSame(['once', 'once'], [$verdicts[2]->step, $verdicts[3]->step]);
        self::assertStringContainsString('also appears elsewhere', $verdicts[2]->reason);
    }
}
