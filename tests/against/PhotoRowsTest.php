<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Shape\Packing\PhotoRows;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** Rows of pictures against npm's justified-layout: the same pictures in the same order, in rows that differ from the wish no more. */
final class PhotoRowsTest extends TestCase
{
    public function test_no_worse_than_the_library_in_any_of_many(): void
    {
        $chance = new Randomizer(new Mt19937(20_261_126));
        $cases = [];
        for ($case = 0; $case < 300; $case++) {
            $ratios = array_map(fn (): float => $chance->getInt(50, 220) / 100, range(1, $chance->getInt(6, 60)));
            $cases[] = ['ratios' => $ratios, 'width' => $chance->getInt(400, 1600), 'gap' => $chance->getInt(0, 16), 'wish' => $chance->getInt(120, 320)];
        }
        $process = new Process(['node', __DIR__.'/photo-rows.mjs'], input: (string) json_encode(['cases' => $cases]));
        /** @var list<list<array{count: int, height: float}>> $theirs */
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        $better = 0;
        foreach ($cases as $index => ['ratios' => $ratios, 'width' => $width, 'gap' => $gap, 'wish' => $wish]) {
            $ours = PhotoRows::of($ratios, $width, $gap, $wish);
            self::assertSame(count($ratios), array_sum(array_column($ours, 'count')), 'all of them, in their order');
            $from = 0;
            foreach ($ours as ['count' => $count, 'height' => $height]) {
                $filled = $height * array_sum(array_slice($ratios, $from, $count)) + $gap * ($count - 1);
                self::assertEqualsWithDelta($width, $filled, 1e-6, 'a row fills the width');
                $from += $count;
            }
            $off = fn (array $rows): float => array_sum(array_map(fn (array $row): float => abs($row['height'] - $wish), $rows));
            self::assertLessThanOrEqual($off($theirs[$index]) + 1e-6, $off($ours), (string) json_encode($cases[$index]));
            $better += $off($ours) < $off($theirs[$index]) - 1e-6 ? 1 : 0;
        }
        self::assertGreaterThan(100, $better, 'and often better, or the comparison compares nothing');
    }

    /** By every way there is to break a few pictures into rows. */
    public function test_there_is_no_better_way_among_all(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        for ($case = 0; $case < 60; $case++) {
            $ratios = array_map(fn (): float => $chance->getInt(60, 200) / 100, range(1, 9));
            [$width, $wish] = [(float) $chance->getInt(500, 1200), 200.0];
            $least = INF;
            for ($breaks = 0; $breaks < 2 ** 8; $breaks++) {
                [$total, $row] = [0.0, []];
                foreach ($ratios as $index => $ratio) {
                    $row[] = $ratio;
                    if ($index === 8 || ($breaks >> $index) % 2 === 1) {
                        $height = $width / array_sum($row);
                        $total += count($row) > 1 && $height < $wish / 2 ? INF : abs($height - $wish);
                        $row = [];
                    }
                }
                $least = min($least, $total);
            }
            $ours = array_sum(array_map(fn (array $row): float => abs($row['height'] - $wish), PhotoRows::of($ratios, $width, 0, $wish)));
            self::assertEqualsWithDelta($least, $ours, 1e-6);
        }
    }
}
