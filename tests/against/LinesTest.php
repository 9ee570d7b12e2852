<?php

declare(strict_types=1);

namespace Tests\against;

use Tests\TestCase;

/**
 * A widget in the look that was read from a page stands on that page's own lines, measured in Chromium on pages of very different make,
 * on a wide screen and on a phone. What a person would see of it is a row each; how much of each may be off is ours.
 */
final class LinesTest extends TestCase
{
    private const RIGHT = 0.9;

    public function test_a_widget_stands_on_the_lines_of_its_page(): void
    {
        $told = app(Lines::class)->of(glob(__DIR__.'/pages/*.html') ?: []);
        $table = Lines::table($told);
        self::assertGreaterThanOrEqual(18, count($table));
        foreach ($table as $row => [$right, $all]) {
            $wrong = array_filter($told, fn (array $one): bool => $one['row'] === $row && ! $one['isRight']);
            self::assertGreaterThanOrEqual(self::RIGHT, $right / $all, "$row: ".json_encode(array_values($wrong)));
        }
    }
}
