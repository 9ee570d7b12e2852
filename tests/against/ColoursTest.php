<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Colour\Oklch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** CSS Color 4 and 5, and npm colorjs.io and culori on the same colours. */
final class ColoursTest extends TestCase
{
    /** Colours as style sheets write them, of every kind. */
    private const WRITTEN = ['rebeccapurple', '#0af', '#12345678', 'rgb(12 200 99)', 'rgba(1,2,3,.4)', 'rgb(10% 20% 30% / 40%)',
        'hsl(210 50% 40%)', 'hsla(.25turn, 100%, 25%, .5)', 'hwb(120 20% 30%)', 'lab(52% 40 -20)', 'lch(60% 50 200)', 'oklab(60% .1 -.1)',
        'oklch(70% 0.1 250deg)', 'oklch(0.5 0.05 30 / 50%)', 'color(display-p3 0.5 0.2 0.4)', 'color(srgb 0.1 0.2 0.3 / .5)',
        'color(srgb-linear 0.2 0.2 0.2)', 'color(xyz-d50 0.2 0.2 0.2)', 'color(xyz 0.3 0.3 0.3)', 'oklch(50% none 20)', 'hsl(720 50% 50%)',
        'oklch(90% 0.4 150)', 'oklch(20% 0.3 20)'];

    /** @var array<string, array<int, mixed>>|null */
    private static ?array $reference = null;

    /** @return list<string> */
    private static function hexes(): array
    {
        return array_map(fn (int $index): string => sprintf('#%06x', ($index * 2_654_435_761) % 0x1000000), range(1, 120));
    }

    /** @return list<array{float, float, float}> */
    private static function outside(): array
    {
        $all = [];
        for ($index = 0; $index < 300; $index++) {
            $all[] = [0.02 + 0.96 * (($index * 37 % 100) / 100), 0.4 * (($index * 53 % 97) / 97), fmod($index * 47.3, 360)];
        }

        return $all;
    }

    /** @return array<int, mixed> */
    private static function reference(string $what): array
    {
        if (self::$reference === null) {
            $process = new Process(['node', __DIR__.'/colours.mjs'], dirname(__DIR__, 2));
            $process->setInput(json_encode(
                ['read' => self::WRITTEN, 'hex' => self::hexes(), 'lch' => self::outside()],
                JSON_THROW_ON_ERROR,
            ));
            $process->mustRun();
            self::$reference = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        }

        return (self::$reference ?? [])[$what] ?? null;
    }

    public function test_colours_are_read_as_the_reference_reads_them(): void
    {
        foreach (self::WRITTEN as $index => $css) {
            $colour = CssColour::read($css);
            self::assertNotNull($colour, $css);
            $is = [$colour->red, $colour->green, $colour->blue, $colour->alpha];
            self::assertEqualsWithDelta(self::reference('read')[$index], $is, 0.006, $css);
        }
    }

    public function test_colours_have_the_lightness_chroma_and_hue_of_the_reference(): void
    {
        foreach (self::hexes() as $index => $hex) {
            $is = Oklch::of(Colour::hex($hex));
            self::assertEqualsWithDelta(self::reference('oklch')[$index], [$is->lightness, $is->chroma, $is->hue], 2e-4, $hex);
            self::assertSame($hex, $is->toColour()->toHex());
        }
    }

    public function test_what_no_screen_shows_is_mapped_as_the_references_map_it(): void
    {
        foreach (self::outside() as $index => [$lightness, $chroma, $hue]) {
            $colour = (new Oklch($lightness, $chroma, $hue))->toColour();
            $is = [$colour->red, $colour->green, $colour->blue];
            $one = array_slice(self::reference('culori')[$index], 0, 3);
            $other = self::reference('colorjs')[$index];
            // They differ a little between themselves; either is the standard's method.
            $apart = fn (array $reference): float => max(array_map(fn ($one, $two): float => abs($one - $two), $is, $reference));
            self::assertLessThan(0.012, min($apart($one), $apart($other)), "$lightness $chroma $hue");
        }
    }

    #[DataProvider('published')]
    public function test_the_published_table(float $x, float $y, float $z, float $lightness, float $one, float $two): void
    {
        self::assertEqualsWithDelta([$lightness, $one, $two], Oklch::xyz([$x, $y, $z])->axes(), 1.5e-3);
    }

    /** @return iterable<array{float, float, float, float, float, float}> Ottosson 2020, "Table of example XYZ and Oklab pairs" */
    public static function published(): iterable
    {
        yield [0.950, 1.0, 1.089, 1.0, 0.0, 0.0];
        yield [1.0, 0.0, 0.0, 0.450, 1.236, -0.019];
        yield [0.0, 1.0, 0.0, 0.922, -0.671, 0.263];
        yield [0.0, 0.0, 1.0, 0.153, -1.415, -0.449];
    }

    #[DataProvider('computed')]
    public function test_mixes_and_relative_colours(string $css, ?string $hex, bool $isDark = false): void
    {
        self::assertSame($hex, CssColour::read($css, Colour::hex('#336699'), $isDark)?->toHex());
    }

    /** @return iterable<array{0: string, 1: string|null, 2?: bool}> CSS Color 5; values by Chromium 156 */
    public static function computed(): iterable
    {
        yield ['currentColor', '#336699'];
        yield ['color-mix(in srgb, red, blue)', '#800080'];
        yield ['color-mix(in srgb, red 25%, blue)', '#4000bf'];
        yield ['color-mix(in srgb, white 10%, black 10%)', '#80808033'];
        yield ['color-mix(in oklab, white, black)', '#636363'];
        yield ['color-mix(in hsl, red, yellow)', '#ff8000'];
        yield ['light-dark(#111, #eee)', '#111111'];
        yield ['light-dark(#111, #eee)', '#eeeeee', true];
        yield ['rgb(from #336699 r g b / 50%)', '#33669980'];
        yield ['rgb(from currentcolor calc(r * 2) g 0)', '#666600'];
        yield ['hsl(from red calc(h + 120) s l)', '#00ff00'];
        yield ['oklch(from white calc(l - 1) c h)', '#000000'];
        yield ['color-mix(in srgb, color-mix(in srgb, red, red), blue 0%)', '#ff0000'];
        yield ['rgb(1 2)', null];
        yield ['rgb(a b c)', null];
        yield ['var(--x)', null];
        yield ['color-mix(in srgb, red)', null];
        yield ['hsl(10px 10% 10%)', null];
        yield ['#12', null];
        yield [str_repeat('color-mix(in srgb,', 60), null];
    }
}
