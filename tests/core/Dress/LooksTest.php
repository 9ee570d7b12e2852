<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\DesignTokens;
use Gnomic\Dress\Dress;
use Gnomic\Dress\Dressed;
use Gnomic\Dress\Guard\Guard;
use Gnomic\Dress\Look;
use Gnomic\Dress\Moves;
use Gnomic\Dress\Scheme;
use Gnomic\Json\MemberIsWrong;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LooksTest extends TestCase
{
    private static function look(string $key): Look
    {
        return Look::read($key, json_decode((string) file_get_contents(dirname(__DIR__, 3)."/resources/looks/$key.json"), true));
    }

    /** @return iterable<string, array{string}> */
    public static function looks(): iterable
    {
        foreach (glob(dirname(__DIR__, 3).'/resources/looks/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [basename($file, '.json')];
        }
    }

    public function test_there_are_looks_for_every_taste(): void
    {
        $looks = array_map(fn (array $one): Look => self::look($one[0]), iterator_to_array(self::looks()));
        self::assertGreaterThanOrEqual(8, count($looks));
        foreach ([Scheme::Light, Scheme::Dark, Scheme::Page, Scheme::Visitor] as $scheme) {
            self::assertNotEmpty(array_filter($looks, fn (Look $look): bool => $look->scheme === $scheme), $scheme->value);
        }
        self::assertNotEmpty(array_filter($looks, fn (Look $look): bool => $look->tokens->edge > 0 && $look->tokens->isBoxed()), 'outlined');
        self::assertNotEmpty(array_filter($looks, fn (Look $look): bool => $look->tokens->shadow > 0), 'raised');
        self::assertNotEmpty(array_filter($looks, fn (Look $look): bool => $look->light->colour('groundTo') !== null), 'gradient');
    }

    /** In grey and in one typeface: what is left of a look without its colours and fonts. */
    public function test_any_two_looks_differ_in_at_least_four_of_seven_ways(): void
    {
        $ways = function (Look $look): array {
            $tokens = $look->tokens;
            $isFilled = $look->light->sure('surface')->alpha > 0.002;

            return [
                'composition' => $look->composition,
                'measure' => intdiv($tokens->measure, 6),
                'heading' => $tokens->head,
                'density' => $tokens->isBoxed() ? [intdiv($tokens->inset, 4), intdiv((int) $tokens->gap, 6)] : [intdiv($tokens->pad, 6)],
                'glyph' => $tokens->glyph,
                'edge' => [$tokens->isBoxed(), $tokens->edge > 0, $tokens->shadow > 0, $isFilled, intdiv($tokens->corner, 6)],
                'rhythm' => $tokens->rule === 0 ? 'none' : "$tokens->rule $tokens->lines",
            ];
        };
        $looks = array_map(fn (array $one): array => $ways(self::look($one[0])), iterator_to_array(self::looks()));
        $near = [];
        foreach ($looks as $one => $is) {
            foreach ($looks as $other => $has) {
                $different = count(array_filter(array_keys($is), fn (string $way): bool => $is[$way] !== $has[$way]));
                if ($one < $other && $different < 4) {
                    $near[] = "$one and $other differ in $different";
                }
            }
        }
        self::assertSame([], $near);
    }

    #[DataProvider('looks')]
    public function test_a_look_keeps_through_design_tokens(string $key): void
    {
        $look = self::look($key);
        $json = json_decode((string) json_encode(DesignTokens::written($look)));
        [$read, $ignored] = DesignTokens::read($key, $json);
        self::assertEquals($look, $read);
        self::assertSame([], $ignored);
    }

    public function test_design_tokens_of_others_are_read_and_what_is_not_known_is_told(): void
    {
        [$look, $ignored] = DesignTokens::read('mine', json_decode((string) json_encode([
            'brand' => ['main' => ['$type' => 'color', '$value' => '#0f5c8a']],
            'light' => [
                '$type' => 'color',
                'ground' => ['$value' => ['colorSpace' => 'oklch', 'components' => [1, 0, 'none']]],
                'ink' => ['$value' => '#101010'], 'quiet' => ['$value' => 'rgb(80 80 80)'], 'line' => ['$value' => '#ccc'],
                'accent' => ['$value' => '{brand.main}'], 'rating' => ['$value' => '{light.accent}'], 'link' => ['$value' => '#101010'],
                'control' => ['$value' => '#101010'], 'sparkle' => ['$value' => '#fff'],
            ],
            'tokens' => ['corner' => ['$value' => '0.5rem'], 'headings' => ['$value' => ['Gill Sans', 'serif']], 'size' => ['$value' => 1.1]],
        ])));
        self::assertSame(['#ffffff', '#505050', '#0f5c8a', '#0f5c8a'], array_values(array_intersect_key(
            $look->light->colours,
            array_flip(['ground', 'quiet', 'accent', 'rating']),
        )));
        self::assertSame([8, '"Gill Sans", serif', 110], [$look->tokens->corner, $look->tokens->headings, $look->tokens->size]);
        self::assertSame(['"brand" is not known here and was left out.', '"light.sparkle" is not known here and was left out.'], $ignored);
    }

    #[DataProvider('wrong')]
    public function test_what_is_no_look_is_told(mixed $json, string $why): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($why);
        DesignTokens::read('x', json_decode((string) json_encode($json)));
    }

    /** @return iterable<array{mixed, string}> */
    public static function wrong(): iterable
    {
        yield [[1, 2], 'not a design token file'];
        yield [['colors' => ['a' => ['$value' => '#fff']]], 'a group "light" or "dark" is missing'];
        yield [['light' => ['ink' => ['$value' => '{light.ink}']]], 'is circular'];
        yield [['light' => ['ink' => ['$value' => '{a.b}']]], 'does not exist'];
        yield [['light' => ['ink' => ['$value' => 'blurple']]], '"light.ink" is not a colour'];
        yield [['light' => ['ink' => 7]], 'no "$value"'];
        yield [['light' => ['ink' => ['$value' => '#000']]], '/light/ground'];
    }

    #[DataProvider('looks')]
    public function test_moves_change_something_and_leave_all_readable(string $key): void
    {
        $look = self::look($key);
        foreach (Moves::cases() as $move) {
            $moved = $move->on($look);
            foreach ([[$moved->light, 'light'], [$moved->dark, 'dark']] as [$palette, $scheme]) {
                self::assertSame([], Guard::failing(Guard::mended($palette, $scheme)[0]), $move->value);
            }
        }
        $moved = Moves::accented($look, Colour::hex('#b00020'));
        self::assertSame('#b00020', $moved->light->colours['rating']);
        self::assertEqualsWithDelta(Oklch::of(Colour::hex('#b00020'))->hue, Oklch::of($moved->dark->sure('rating'))->hue, 8.0);
        self::assertGreaterThan($look->tokens->corner, Moves::Rounder->on($look)->tokens->corner);
        self::assertGreaterThan(Moves::Closer->on($look)->tokens->gap, Moves::Airier->on($look)->tokens->gap);
    }

    public function test_a_brief_changes_single_tokens_and_what_cannot_be_read_is_mended(): void
    {
        $dress = Dress::read(['light' => ['ground' => '#101820', 'rating' => '#0e1a20'], 'tokens' => ['corner' => 12]]);
        $dressed = Dressed::of($dress->on(self::look('paper')), $dress);
        self::assertSame(12, $dressed->tokens->corner);
        self::assertSame([], Guard::failing($dressed->light));
        self::assertNotEmpty($dressed->findings);
        $left = Dress::read(['refused' => ['light.rating'], 'light' => ['rating' => '#eeeeee']]);
        self::assertSame('#eeeeee', Dressed::of($left->on(self::look('paper')), $left)->light->colours['rating']);
        $none = Dress::read(['mend' => false, 'light' => ['ink' => '#dddddd']]);
        $asIs = Dressed::of($none->on(self::look('paper')), $none);
        self::assertSame('#dddddd', $asIs->light->colours['ink']);
        self::assertTrue($asIs->findings[0]->isRefused, 'and is told on');
    }

    #[DataProvider('members')]
    public function test_a_token_that_cannot_be_is_named(mixed $dress, string $pointer): void
    {
        try {
            Dress::read($dress);
            self::fail("$pointer was taken");
        } catch (MemberIsWrong $wrong) {
            self::assertSame($pointer, $wrong->pointer);
        }
    }

    /** @return iterable<array{mixed, string}> */
    public static function members(): iterable
    {
        yield [['light' => ['sparkle' => '#ffffff']], '/dress/light/sparkle'];
        yield [['light' => ['ink' => 'red']], '/dress/light/ink'];
        yield [['light' => ['ink' => '#12345678']], '/dress/light/ink'];
        yield [['tokens' => ['corner' => 400]], '/dress/tokens/corner'];
        yield [['tokens' => ['headings' => 'x;} body{']], '/dress/tokens/headings'];
        yield [['tokens' => ['picture' => 'javascript:alert(1)']], '/dress/tokens/picture'];
        yield [['tokens' => ['glyph' => 'skull']], '/dress/tokens/glyph'];
        yield [['scheme' => 'sepia'], '/dress/scheme'];
        yield [['css' => str_repeat('x', 1_000_000)], '/dress/css'];
        yield [['words' => [['key' => 'x', 'says' => 'y']]], '/dress/words/0/key'];
        yield [['refused' => ['light']], '/dress/refused/0'];
    }
}
