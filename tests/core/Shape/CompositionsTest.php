<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Compositions;
use Gnomic\Shape\Compositions\RowComposition;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\WordsPart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever a composition makes of a card, nothing of it is lost, and its height is told from those of its blocks. */
final class CompositionsTest extends TestCase
{
    private const KINDS = [RatingPart::class, WordsPart::class, PicturesPart::class, NamePart::class];

    /** @return iterable<string, array{class-string<Composition>}> */
    public static function compositions(): iterable
    {
        foreach (Compositions::ALL as $composition) {
            yield $composition::name() => [$composition];
        }
    }

    /** @param  class-string<Composition>  $composition */
    #[DataProvider('compositions')]
    public function test_every_block_stands_somewhere_once(string $composition): void
    {
        foreach ([self::KINDS, [NamePart::class], [WordsPart::class], [], [PicturesPart::class, RatingPart::class]] as $kinds) {
            $shown = array_merge([], ...array_values($composition::groups($kinds, fn (string $kind): string => $kind)));
            self::assertEqualsCanonicalizing($kinds, $shown);
        }
    }

    /** @param  class-string<Composition>  $composition */
    #[DataProvider('compositions')]
    public function test_it_is_as_high_as_what_it_holds_and_higher_with_more(string $composition): void
    {
        $of = fn (float $each, int $count, float $width): float => $composition::height(
            array_slice(self::KINDS, 0, $count),
            $width,
            fn (int $place, float $within): float => $within > 0 ? $each : self::fail('no room for a block'),
        );
        foreach ([2.0, 20.0, 60.0] as $width) {
            self::assertGreaterThan($of(1.0, 4, $width), $of(3.0, 4, $width));
            self::assertGreaterThanOrEqual($of(1.0, 2, $width), $of(1.0, 3, $width));
            self::assertGreaterThanOrEqual(1.0, $of(1.0, 1, $width));
        }
    }

    /** @param  class-string<Composition>  $composition */
    #[DataProvider('compositions')]
    public function test_it_has_a_name_a_style_and_sizes_for_every_layout(string $composition): void
    {
        self::assertSame($composition, Compositions::named($composition::name()));
        self::assertFileExists(dirname(__DIR__, 3)."/resources/widget/compositions/{$composition::name()}/style.css");
        foreach (Layouts::ALL as $layout) {
            $scale = $composition::scale(\Gnomic\Shape\Shape::read(['layout' => ['name' => $layout::name()]])->layout);
            foreach (TypeScale::STEPS as $step) {
                self::assertGreaterThanOrEqual(0.75, $scale->sizes[$step], $layout::name());
            }
        }
        self::assertLessThanOrEqual(40.0, $composition::wordsWidth(40.0, self::KINDS));
    }

    public function test_in_a_wide_row_the_rating_has_a_column_of_its_own_beside_what_was_said(): void
    {
        $kinds = [RatingPart::class, WordsPart::class, NamePart::class];
        $high = fn (float $words, float $width): float => RowComposition::height(
            $kinds,
            $width,
            fn (int $place): float => [2.0, $words, 3.0][$place],
        );
        // Wide: the highest of the three; with less room the rating above the words, and with little all below each other.
        self::assertSame([3.0, 9.0], [$high(1.0, 70.0), $high(9.0, 70.0)]);
        self::assertSame([3.5, 11.5], [$high(1.0, 50.0), $high(9.0, 50.0)]);
        self::assertSame(3.0 + 1.0 + 2.0 + 0.5 + 9.0, $high(9.0, 30.0));
        self::assertLessThan(RowComposition::wordsWidth(70.0, [WordsPart::class, NamePart::class]), RowComposition::wordsWidth(70.0, $kinds));
    }

    public function test_a_rating_that_the_brief_has_behind_the_words_stays_there(): void
    {
        $kinds = [WordsPart::class, RatingPart::class, NamePart::class];
        self::assertSame(
            ['from' => [NamePart::class], 'told' => [WordsPart::class, RatingPart::class]],
            RowComposition::groups($kinds, fn (string $kind): string => $kind),
        );
    }

    public function test_one_that_is_not_there_is_the_usual_one(): void
    {
        self::assertSame(Compositions::ALL[0], Compositions::named('nothing'));
        self::assertSame(Compositions::ALL[0], Compositions::named(null));
    }
}
