<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Guard\Pair;
use Gnomic\Dress\Palette;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Effort;

/** What the guard makes of colours drawn by chance, gradients and what lets through among them, against npm culori (WCAG 2.2, 1.4.3 and 1.4.11). */
final class GuardTest extends TestCase
{
    /** Contrast by which the two may differ: neither looks at every point of a gradient. */
    private const NEAR = 0.02;

    /** @return iterable<Palette> */
    private static function sets(int $count): iterable
    {
        $chance = new Randomizer(new Mt19937(20_261_201));
        $colour = fn (int $bytes = 3): string => '#'.bin2hex($chance->getBytes(max(1, $bytes)));
        $some = fn (int $in, string $of): ?string => $chance->getInt(1, $in) === 1 ? $of : null;
        for ($set = 0; $set < $count; $set++) {
            $colours = ['line' => '#cccccc', 'ground' => $colour($chance->getInt(3, 4)), 'groundTo' => $some(2, $colour($chance->getInt(3, 4))),
                'surface' => $some(2, $colour($chance->getInt(3, 4))) ?? '#00000000', 'behind' => $colour(), 'behindTo' => $some(3, $colour()),
                'heading' => $some(4, $colour()), 'button' => $some(4, $colour()), 'buttonInk' => $some(8, $colour()),
                'cardInk' => $some(4, $colour()), 'cardLink' => $some(6, $colour())];
            foreach (Palette::OVER as $token) {
                $colours[$token] = $colour();
            }
            yield Palette::read($colours, '/light');
        }
    }

    /** @return array<string, mixed> */
    private static function asked(Palette $palette): array
    {
        $over = [];
        foreach (Pair::all() as $pair) {
            $colour = $pair->token === 'buttonInk' ? $palette->buttonInk() : $palette->sure($pair->token);
            $over[] = [$colour->toHex(), $pair->on === 'button' && $palette->colours['button'] === null ? 'ground' : $pair->on];
        }

        return array_intersect_key($palette->colours, array_flip(['ground', 'groundTo', 'behind', 'behindTo', 'surface', 'button']))
            + ['over' => $over];
    }

    /**
     * @param  list<Palette>  $palettes
     * @return list<list<float>>
     */
    private static function reference(array $palettes): array
    {
        $process = new Process(['node', __DIR__.'/contrasts.mjs'], dirname(__DIR__, 2), timeout: 900);
        $process->setInput((string) json_encode(array_map(self::asked(...), $palettes)));
        $process->mustRun();

        return json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    public function test_nothing_is_below_and_what_passed_is_not_touched(): void
    {
        $sets = iterator_to_array(self::sets(Effort::of(300, 10_000)), false);
        $mended = array_map(fn (Palette $palette): Palette => Guard::mended($palette, 'light')[0], $sets);
        [$before, $after] = [self::reference($sets), self::reference($mended)];
        foreach ($sets as $index => $palette) {
            $said = json_encode([$palette->colours, $mended[$index]->colours]);
            foreach (Pair::all() as $at => $pair) {
                self::assertGreaterThanOrEqual($pair->least - self::NEAR, $after[$index][$at], "$pair->what of $said");
            }
            foreach (Palette::over() as $token) {
                $passed = true;
                foreach (Pair::all() as $at => $pair) {
                    $isSaid = $palette->speaker($pair->token) === $token;
                    $passed = $passed && (! $isSaid || $before[$index][$at] >= $pair->least + self::NEAR);
                }
                if ($passed && $palette->colours[$token] !== null) {
                    self::assertSame($palette->colours[$token], $mended[$index]->colours[$token], "$token of $said");
                }
            }
        }
    }
}
