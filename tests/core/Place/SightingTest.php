<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Check\CheckFinding;
use Gnomic\Place\Check\PlacementVerdict;
use Gnomic\Place\Check\Sighting;
use PHPUnit\Framework\TestCase;

/** What a widget says of itself, beside what was fetched. */
final class SightingTest extends TestCase
{
    private const NOON = 1_790_000_000;

    private static function verdict(PlacementVerdict $fetched, int $width, ?int $goneSince = null): PlacementVerdict
    {
        return (new Sighting(self::NOON, $width, false, $goneSince))->beside([new CheckFinding($fetched, 'As fetched.')])[0]->verdict;
    }

    public function test_a_script_may_put_it_in_that_fetching_does_not_run(): void
    {
        foreach (PlacementVerdict::cases() as $fetched) {
            $isPutIn = in_array($fetched, [PlacementVerdict::Missing, PlacementVerdict::ScriptGone, PlacementVerdict::NoPlace], true);
            self::assertSame($isPutIn ? PlacementVerdict::Right : $fetched, self::verdict($fetched, 640), $fetched->value);
            self::assertSame($fetched->shows() ? PlacementVerdict::Hidden : $fetched, self::verdict($fetched, 0), $fetched->value);
            self::assertFalse($fetched->lacksCode() && $fetched->shows(), $fetched->value);
        }
    }

    public function test_who_saw_it_before_its_code_was_gone_says_nothing_of_now(): void
    {
        self::assertSame(PlacementVerdict::Missing, self::verdict(PlacementVerdict::Missing, 640, self::NOON));
        self::assertSame(PlacementVerdict::Missing, self::verdict(PlacementVerdict::Missing, 640, self::NOON - 3600), 'pages linger in caches and tabs');
        self::assertSame(PlacementVerdict::Right, self::verdict(PlacementVerdict::Missing, 640, self::NOON - 3601));
    }

    public function test_why_it_has_no_room_is_told_with_a_next_step(): void
    {
        foreach ([[true, 'display: none'], [false, '0 pixels wide']] as [$isHidden, $why]) {
            [$first, $second] = (new Sighting(self::NOON, 0, $isHidden, null))->beside([new CheckFinding(PlacementVerdict::Right, 'It is there.')]);
            self::assertStringContainsString($why, $first->says);
            self::assertNotNull($first->next);
            self::assertSame('It is there.', $second->says);
        }
    }
}
