<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Check\CheckFinding;
use Gnomic\Place\Check\Evidence;
use Gnomic\Place\Check\PlacementVerdict;
use Gnomic\Place\Check\Sighting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What visitors' browsers say of a widget, beside what was fetched: many have to agree, and over hours. */
final class SightingTest extends TestCase
{
    private const NOON = 1_790_000_000;

    private static function verdict(PlacementVerdict $fetched, int $width): PlacementVerdict
    {
        return (new Sighting($width, false))->beside([new CheckFinding($fetched, 'As fetched.')])[0]->verdict;
    }

    public function test_a_script_may_put_it_in_that_fetching_does_not_run(): void
    {
        foreach (PlacementVerdict::cases() as $fetched) {
            $isPutIn = in_array($fetched, [PlacementVerdict::Missing, PlacementVerdict::ScriptGone, PlacementVerdict::ElementGone, PlacementVerdict::NoPlace], true);
            self::assertSame($isPutIn ? PlacementVerdict::Right : $fetched, self::verdict($fetched, 640), $fetched->value);
            self::assertSame($fetched->shows() ? PlacementVerdict::Hidden : $fetched, self::verdict($fetched, 0), $fetched->value);
            self::assertFalse($fetched->lacksCode() && $fetched->shows(), $fetched->value);
        }
    }

    public function test_why_it_has_no_room_is_told_with_a_next_step(): void
    {
        foreach ([[true, 'display: none'], [false, '0 pixels wide']] as [$isHidden, $why]) {
            [$first, $second] = (new Sighting(0, $isHidden))->beside([new CheckFinding(PlacementVerdict::Right, 'It is there.')]);
            self::assertStringContainsString($why, $first->says);
            self::assertNotNull($first->next);
            self::assertSame('It is there.', $second->says);
        }
    }

    /**
     * Hours from noon on, each as "what was said, as often": s seen, h hidden, n no room.
     *
     * @param  list<string>  $hours
     */
    #[DataProvider('told')]
    public function test_hours_have_to_agree(array $hours, ?PlacementVerdict $ofRight, ?PlacementVerdict $ofMissing): void
    {
        $evidence = Evidence::none();
        foreach ($hours as $hour => $said) {
            foreach (str_split($said) as $number => $one) {
                $evidence = $said === '' ? $evidence : $evidence->plus(self::NOON + 3600 * $hour + $number % 3_000, $one === 's' ? 640 : 0, $one === 'h');
            }
        }
        $kept = Evidence::of(json_decode((string) json_encode((object) $evidence->toArray()), true));
        self::assertEquals($evidence, $kept);
        $sighting = $kept->agreed(0);
        $verdict = fn (PlacementVerdict $of): ?PlacementVerdict => ($told = $sighting?->beside([new CheckFinding($of, 'As fetched.')])[0]->verdict) === $of ? null : $told;
        self::assertSame([$ofRight, $ofMissing], [$verdict(PlacementVerdict::Right), $verdict(PlacementVerdict::Missing)]);
    }

    /** @return iterable<string, array{list<string>, PlacementVerdict|null, PlacementVerdict|null}> */
    public static function told(): iterable
    {
        [$hidden, $right] = [PlacementVerdict::Hidden, PlacementVerdict::Right];
        yield 'nobody said anything' => [[], null, null];
        yield 'one forged beacon' => [['h'], null, null];
        yield 'five hundred in an hour' => [[str_repeat('h', 520)], null, null];
        yield 'two hours' => [['hhh', 'hhh'], null, null];
        yield 'three hours' => [['h', 'hh', 'h'], $hidden, null];
        yield 'three hours, not one after the other' => [['h', '', 'h', '', '', 'n', '', 'n', 'n'], $hidden, null];
        yield 'hidden and narrow by turns' => [['h', 'n', 'h'], null, null];
        yield 'a blocker among visitors' => [['shs', 'ssh', 'hss'], null, $right];
        yield 'a blocker alone in an hour between' => [['s', 'h', 's'], null, null];
        yield 'half and half' => [['sh', 'sh', 'sh'], null, null];
        yield 'a flood after ten voices' => [['ssssssssss'.str_repeat('h', 500), 'sss', 'sss'], null, $right];
        yield 'it was hidden, and is seen since' => [['h', 'h', 'h', 's', 's', 's'], null, $right];
        yield 'it was seen, and is hidden since' => [['s', 's', 's', 'h', 'h', 'h'], $hidden, null];
        yield 'it was hidden, and is being seen' => [['h', 'h', 'h', 's'], null, null];
    }

    public function test_hours_before_count_for_nothing(): void
    {
        $evidence = Evidence::none();
        foreach ([0, 1, 2] as $hour) {
            $evidence = $evidence->plus(self::NOON + 3600 * $hour, 640, false);
        }
        $first = intdiv(self::NOON, 3600) * 3600;
        self::assertNotNull($evidence->agreed($first));
        self::assertNull($evidence->agreed($first + 1));
    }

    public function test_what_was_kept_wrongly_is_left_out(): void
    {
        foreach ([null, 'x', ['x' => 1], ['5' => [1, 2]], ['5' => 'x']] as $kept) {
            self::assertSame([], Evidence::of($kept)->toArray());
        }
    }
}
