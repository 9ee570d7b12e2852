<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Guard\Backdrop;
use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Look;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** WCAG 2.2 §1.4.3 and §1.4.11, and npm wcag-contrast on the same pairs. */
final class ContrastTest extends TestCase
{
    #[DataProvider('known')]
    public function test_known_ratios(string $one, string $two, float $ratio): void
    {
        self::assertEqualsWithDelta($ratio, Colour::hex($one)->contrastWith(Colour::hex($two)), 0.005);
    }

    /** @return iterable<array{string, string, float}> widely published values (common practice) */
    public static function known(): iterable
    {
        yield ['#777', '#fff', 4.48];
        yield ['#767676', '#fff', 4.54];
        yield ['#949494', '#fff', 3.03];
        yield ['#000', '#fff', 21.0];
    }

    public function test_the_reference_library_agrees(): void
    {
        $pairs = [];
        for ($index = 0; $index < 60; $index++) {
            $pairs[] = [sprintf('#%06x', ($index * 2_654_435) % 0xFFFFFF), sprintf('#%06x', ($index * 40_503_001) % 0xFFFFFF)];
        }
        $process = new Process(
            [
                'node',
                '--input-type=module',
                '-e',
                'import c from "wcag-contrast"; console.log(JSON.stringify(JSON.parse(process.argv[1]).map(([a, b]) => c.hex(a, b))))',
                (string) json_encode($pairs),
            ],
            dirname(__DIR__, 2),
        );
        $process->mustRun();
        $reference = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        foreach ($pairs as $index => [$one, $two]) {
            self::assertEqualsWithDelta($reference[$index], Colour::hex($one)->contrastWith(Colour::hex($two)), 0.01, "$one on $two");
        }
    }

    #[DataProvider('looks')]
    public function test_every_look_can_be_read(Look $look): void
    {
        foreach ([$look->light, $look->dark] as $palette) {
            self::assertSame([], Guard::failing($palette), 'nothing is left to the guard');
            self::assertSame([], Guard::byOtherEyes($palette));
            self::assertGreaterThanOrEqual(7.0, Backdrop::surface($palette)->contrastWith($palette->sure('ink')));
        }
    }

    /** @return iterable<string, array{Look}> */
    public static function looks(): iterable
    {
        foreach (glob(dirname(__DIR__, 2).'/resources/looks/*.json') ?: [] as $file) {
            yield basename($file) => [Look::read(basename($file, '.json'), json_decode((string) file_get_contents($file), true))];
        }
    }
}
