<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Trial\Arm;
use Gnomic\Place\Trial\SequentialTest;
use Gnomic\Place\Trial\TrialAccount;
use PHPUnit\Framework\TestCase;

final class TrialAccountTest extends TestCase
{
    public function test_days_are_added_up_and_tested_at_each(): void
    {
        $account = TrialAccount::over([
            ['this' => [400, 40], 'other' => [380, 70]],
            ['this' => [0, 0], 'other' => [20, 4]],
            ['this' => [600, 60], 'other' => [600, 126]],
        ]);
        $test = SequentialTest::over([
            [new Arm(400, 40), new Arm(380, 70)], [new Arm(400, 40), new Arm(400, 74)], [new Arm(1000, 100), new Arm(1000, 200)],
        ]);
        $told = $account->toArray();
        self::assertSame([$test->says, $test->p, $test->interval], [$told['says'], $told['p'], $told['interval']]);
        self::assertSame(['views' => 1000, 'engaged' => 100, 'share' => 0.1], $told['this']);
        self::assertSame(['views' => 1000, 'engaged' => 200, 'share' => 0.2], $told['other']);
        self::assertSame(3, $told['days']);
    }

    public function test_what_was_kept_and_why_is_said(): void
    {
        $account = TrialAccount::over([['this' => [1200, 60], 'other' => [1000, 120]]]);
        self::assertSame('The other version was kept after a trial: 12.0 % of 1,000 views against 5.0 % of 1,200 views', $account->cause('other'));
        self::assertSame('It was kept as it was after a trial: 5.0 % of 1,200 views against 12.0 % of 1,000 views', $account->cause('this'));
    }

    public function test_a_trial_that_nobody_saw_says_nothing_yet(): void
    {
        $told = TrialAccount::over([])->toArray();
        self::assertSame(['not yet', null, 0], [$told['says'], $told['p'], $told['days']]);
    }
}
