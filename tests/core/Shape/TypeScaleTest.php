<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Planned;

/** Size follows length: what is short stands large, on lines that are closer (common practice of setting quotations). */
final class TypeScaleTest extends TestCase
{
    use Planned;

    #[DataProvider('texts')]
    public function test_a_sentence_stands_larger_than_a_paragraph(string $text, float $pixels): void
    {
        $scale = TypeScale::of(1.0625, 1.3125, 1.6875)->on(21.0);
        self::assertSame($pixels, 16 * $scale->sizes[$scale->step(Font::Page->extent($text))]);
    }

    /** @return iterable<string, array{string, float}> sizes in CSS pixels, of sections that were set by hand */
    public static function texts(): iterable
    {
        yield 'three words' => ['Rainy Sunday saved.', 27.0];
        yield 'two short sentences' => ['Great show, tiny foyer. The shop is small but well chosen.', 27.0];
        yield 'a long sentence' => ['My daughter asked whether Saturn was a sticker on the lens, and she is six and a hard marker.', 21.0];
        yield 'a paragraph' => [
            'Lovely evening, slightly chaotic start. The talk ran long, but the view of the Orion nebula made up for it. Would go again.', 17.0,
        ];
        yield 'another script' => ['土星の輪がはっきり見えました。', 27.0];
    }

    public function test_narrow_cards_have_smaller_ones_and_never_smaller_than_a_paragraph(): void
    {
        $scale = TypeScale::of(1.0625, 1.3125, 1.6875);
        $before = 0.0;
        foreach ([4.0, 14.0, 16.0, 20.0, 60.0] as $width) {
            $sizes = $scale->on($width)->sizes;
            self::assertSame(1.0625, $sizes[0]);
            self::assertGreaterThanOrEqual($sizes[0], $sizes[1]);
            self::assertGreaterThanOrEqual($sizes[1], $sizes[2]);
            self::assertGreaterThanOrEqual($before, $sizes[2]);
            $before = $sizes[2];
        }
    }

    public function test_one_voice_is_for_wide_places_and_less_on_phones(): void
    {
        $voice = TypeScale::of(1.5, 1.875, 2.875);
        self::assertSame(46.0, 16 * $voice->on(44.0)->sizes[2]);
        self::assertSame(28.0, 16 * $voice->on(22.0)->sizes[2]);
        self::assertSame(20.0, 16 * $voice->on(22.0)->sizes[0]);
    }

    public function test_larger_lines_are_closer_and_an_even_scale_changes_nothing(): void
    {
        $scale = TypeScale::of(1.0625, 1.3125, 1.6875);
        self::assertSame([1.53, 1.419, 1.339], array_map(fn (int $step): float => $scale->leading($step, 1.53), TypeScale::STEPS));
        $even = TypeScale::even(1.25);
        self::assertTrue($even->isEven());
        self::assertSame([0, 1.5, $even], [$even->step(3.0), $even->leading(2, 1.5), $even->on(5.0)]);
    }

    #[DataProvider('sentences')]
    public function test_of_one_voice_a_short_first_sentence_leads(string $text, ?string $lead): void
    {
        $brief = BriefReader::read(['version' => 4, 'shape' => ['layout' => ['name' => 'single'], 'card' => ['words'], 'shorten' => null]]);
        $plan = self::planned($brief, [new Entry('a', Kind::Review, text: $text)]);
        self::assertSame($lead === null ? [] : [$plan->cards[0]->ref => $lead], $plan->fitting->leads());
        self::assertGreaterThan((new PlannedHeight($plan))->at(1200), (new PlannedHeight($plan))->at(320), 'and is foretold with the rest');
    }

    public function test_where_lines_are_counted_nothing_leads(): void
    {
        $voice = fn (array $more): array => self::planned(
            BriefReader::read(['version' => 4, 'shape' => ['layout' => ['name' => 'single'], 'card' => ['words'], 'shorten' => null] + $more]),
            [new Entry('a', Kind::Review, text: 'I proposed in the queue. '.str_repeat('She said yes, and rang her mother. ', 9))],
        )->fitting->leads();
        self::assertCount(1, $voice([]));
        self::assertSame([], $voice(['lines' => 4]));
        self::assertSame([], $voice(['at' => ['phone' => ['lines' => 4]]]), 'on phones as well as elsewhere: it is one sentence of one edition');
    }

    public function test_a_card_has_all_the_width_where_no_other_is_to_be_seen_beside_it(): void
    {
        $shape = Shape::read(['layout' => ['name' => 'carousel', 'rows' => 2]]);
        $space = $shape->space(390);
        self::assertSame($space->inner, $shape->layout->cardWidth($space, 1, 2));
        self::assertLessThan($space->inner - 60, $shape->layout->cardWidth($space, 1, 3));
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function sentences(): iterable
    {
        $rest = ' She said yes, then asked me to hold her place while she rang her mother, and the staff moved us to the front of it.';
        yield 'a short one' => ["I proposed in the queue.$rest", 'I proposed in the queue.'];
        yield 'with a quotation' => ["“We saw it!” he said.$rest", '“We saw it!”'];
        yield 'a number is no end' => ["It cost 3.50 and was worth it.$rest", 'It cost 3.50 and was worth it.'];
        yield 'another script' => [str_repeat('土星の輪がはっきり見えました。', 6), '土星の輪がはっきり見えました。'];
        yield 'too long' => [str_repeat('and another thing ', 12).'.'.$rest, null];
        yield 'no sentence at all' => [str_repeat('words and words ', 20), null];
    }
}
