<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Palette;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Effort;

final class GuardTest extends TestCase
{
    /** @param  array<string, string|null>  $with */
    private static function palette(array $with = []): Palette
    {
        return Palette::read($with + ['ground' => '#ffffff', 'ink' => '#1d2333', 'quiet' => '#5a6072', 'line' => '#cdd1dc',
            'accent' => '#1d2333', 'rating' => '#1d2333', 'link' => '#1d2333', 'control' => '#1d2333'], '/light');
    }

    /** @return iterable<Palette> plain, gradient, veiled and clear grounds, surfaces of every kind */
    private static function random(int $count): iterable
    {
        $chance = new Randomizer(new Mt19937(20_261_127));
        $colour = fn (bool $isOpaque = true): string => '#'.bin2hex($chance->getBytes($isOpaque ? 3 : 4));
        for ($index = 0; $index < $count; $index++) {
            $with = [];
            foreach (Palette::OVER as $token) {
                $with[$token] = $colour();
            }
            yield self::palette($with + [
                'ground' => $colour($index % 3 !== 0),
                'groundTo' => $index % 4 === 0 ? $colour($index % 8 === 0) : null,
                'surface' => $index % 2 === 0 ? $colour($index % 6 !== 0) : '#00000000',
                'behind' => $colour(),
                'behindTo' => $index % 5 === 0 ? $colour() : null,
            ]);
        }
    }

    /** What is true of every set of tokens, over ten thousand drawn by chance (fewer at each change). */
    public function test_nothing_fails_after_repair_and_what_passed_is_not_touched(): void
    {
        foreach (self::random(Effort::of(400, 10_000)) as $palette) {
            $failing = Guard::failing($palette);
            [$mended, $findings] = Guard::mended($palette, 'light');
            $said = (string) json_encode($palette->colours);
            self::assertSame([], Guard::failing($mended), $said);
            foreach (array_diff(Palette::OVER, $failing) as $token) {
                self::assertSame($palette->colours[$token], $mended->colours[$token], "$token of $said");
            }
            self::assertSame($failing === [], $findings === []);
            if ($failing === []) {
                self::assertSame($palette, $mended);
            }
        }
    }

    public function test_hue_and_chroma_are_kept_while_a_screen_shows_them(): void
    {
        foreach (self::random(400) as $palette) {
            [$mended] = Guard::mended($palette, 'light');
            foreach (Palette::OVER as $token) {
                [$was, $is] = [Oklch::of($palette->sure($token)), Oklch::of($mended->sure($token))];
                $wanted = $was->withLightness($is->lightness);
                if ($wanted->isShown() && $was->chroma > 0.03 && $is->lightness > 0.12 && $is->lightness < 0.97) {
                    self::assertEqualsWithDelta($was->chroma, $is->chroma, 0.012, $token);
                    self::assertLessThan(6.0, abs(fmod($was->hue - $is->hue + 540, 360) - 180), $token);
                }
            }
        }
    }

    public function test_the_change_is_the_smallest(): void
    {
        foreach (self::random(Effort::of(40, 150)) as $palette) {
            [$mended] = Guard::mended($palette, 'light');
            foreach (Guard::failing($palette) as $token) {
                $from = Oklch::of($palette->sure($token));
                if (Oklch::of($mended->sure($token))->lightness < 0.05) {
                    continue; // a step of eight bits is a wide one there
                }
                $change = abs(Oklch::of($mended->sure($token))->lightness - $from->lightness);
                // Nothing nearer, either way, is told apart on the same ground.
                for ($less = 0.01; $less < $change - 0.03; $less += 0.02) {
                    foreach ([-1, 1] as $way) {
                        $tried = $mended->with([$token => $from->withLightness($from->lightness + $way * $less)->toColour()->toHex()]);
                        self::assertContains($token, Guard::failing($tried), "$token by $less instead of $change");
                    }
                }
            }
        }
    }

    public function test_a_failure_is_named_with_its_mend(): void
    {
        $palette = self::palette(['ground' => '#000000', 'ink' => '#ffffff', 'quiet' => '#cccccc', 'accent' => '#ffffff', 'link' => '#ffffff']);
        [$mended, $findings] = Guard::mended($palette, 'dark');
        self::assertSame(['rating', 'rating', 'control', 'control'], array_column($findings, 'token'));
        self::assertSame(
            'Arrows, dots and edges of buttons (at rest, under the pointer, at an end) cannot be distinguished from what is behind them',
            $findings[2]->text,
        );
        self::assertSame('#1d2333', $findings[2]->from);
        self::assertSame($mended->colours['control'], $findings[2]->to);
        self::assertGreaterThanOrEqual(3.0, $findings[2]->after);
        self::assertLessThan(3.05, $findings[2]->after);
    }

    public function test_the_owner_may_refuse_and_is_told_on(): void
    {
        $palette = self::palette(['quiet' => '#bbbbbb']);
        [$mended, $findings] = Guard::mended($palette, 'light', ['quiet']);
        self::assertSame('#bbbbbb', $mended->colours['quiet']);
        self::assertTrue($findings[0]->isRefused);
        self::assertSame(['quiet'], Guard::failing($mended));
    }

    public function test_a_picture_of_every_lightness_needs_a_veil(): void
    {
        $palette = self::palette(['ground' => '#00000000', 'behind' => '#000000', 'behindTo' => '#ffffff']);
        [$mended, $findings] = Guard::mended($palette, 'light');
        self::assertSame([], Guard::failing($mended));
        self::assertSame('ground', $findings[0]->token);
        self::assertGreaterThan(0.2, $mended->sure('ground')->alpha);
        self::assertLessThan(0.95, $mended->sure('ground')->alpha, 'as much of the picture as can be is still seen');
    }

    public function test_white_cards_stand_on_a_dark_band(): void
    {
        $palette = self::palette(['ground' => '#10273a', 'surface' => '#ffffff', 'ink' => '#dde6ee', 'accent' => '#7cc4ff']);
        [$mended] = Guard::mended($palette, 'light');
        self::assertSame([], Guard::failing($mended));
        self::assertSame(['#10273a', '#ffffff', '#dde6ee', '#7cc4ff'], [$mended->colours['ground'], $mended->colours['surface'],
            $mended->colours['ink'], $mended->colours['accent']], 'what can be told where it is stays');
        self::assertLessThan(0.6, Oklch::of($mended->sure('cardInk'))->lightness);
        self::assertNotNull($mended->colours['cardAccent']);
    }

    /** Colours that were below by a hair while gradients were mixed without their alpha. */
    public function test_a_gradient_that_lets_through_is_mixed_as_browsers_mix_it(): void
    {
        // At a quarter of the way: alpha 0.75 * 1 + 0.25 * 0, and black alone (CSS Images 4, 3.1).
        $palette = self::palette(['ground' => '#000000', 'groundTo' => '#ffffff00', 'behind' => '#000000', 'ink' => '#ffffff',
            'quiet' => '#ffffff', 'accent' => '#ffffff', 'rating' => '#ffffff', 'link' => '#ffffff', 'control' => '#ffffff']);
        self::assertSame([], Guard::failing($palette), 'white that is not there lightens nothing');
    }

    public function test_eyes_of_another_kind_are_spoken_of(): void
    {
        self::assertSame([], Guard::byOtherEyes(self::palette()));
        $warned = Guard::byOtherEyes(self::palette(['ground' => '#000000', 'ink' => '#ff2020', 'quiet' => '#ffffff', 'accent' => '#ffffff',
            'rating' => '#ffffff', 'link' => '#ffffff', 'control' => '#ffffff']));
        self::assertStringContainsString('to eyes that cannot see red', $warned[0]['text'] ?? '');
    }
}
