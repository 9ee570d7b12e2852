<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\DesignTokens;
use Gnomic\Dress\Scheme;
use Gnomic\Dress\Tokens\ForeignToken;
use Gnomic\Dress\Tokens\ForeignTokens;
use Gnomic\Dress\Tokens\TokenMapping;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;

/** Design tokens made elsewhere: Design Tokens Community Group of the W3C, format module 2025.10, and earlier drafts of it. */
final class ForeignTokensTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function file(): array
    {
        return [
            'palette' => ['$type' => 'color', 'moor' => ['700' => ['$value' => '#2b4a3a'], '50' => ['$value' => '#f4f7f5']],
                'night' => ['$value' => ['colorSpace' => 'srgb', 'components' => [0.08, 0.1, 0.14], 'hex' => '#141a24']]],
            'semantic' => [
                '$type' => 'color',
                'text' => ['body' => ['$value' => '#1d2333', '$extensions' => ['mode' => ['dark' => '#e8ecf4', 'sepia' => '#40301a']]],
                    'muted' => ['$value' => '#5a6072']],
                'background' => ['page' => ['$value' => '{palette.moor.50}', '$extensions' => ['mode' => ['dark' => '{palette.night}']]]],
                'brandPrimary' => ['$value' => '{palette.moor.700}'],
                'card' => ['surface' => ['$value' => '#ffffff']],
            ],
            'type' => ['heading' => ['$type' => 'typography', '$value' => ['fontFamily' => ['Gill Sans', 'Optima', 'sans-serif'],
                'fontSize' => ['value' => 2, 'unit' => 'rem'], 'fontWeight' => 'semi-bold', 'lineHeight' => 1.2, 'letterSpacing' => '0px']],
                'body' => ['$type' => 'typography', '$value' => ['fontFamily' => 'Charter', 'fontSize' => '17px', 'fontWeight' => 400,
                    'lineHeight' => 1.6, 'letterSpacing' => '0px']]],
            'radius' => ['$type' => 'dimension', 'card' => ['$value' => '12px']],
            'shadow' => ['card' => ['$type' => 'shadow', '$value' => [['color' => '#0002', 'offsetX' => '0px', 'offsetY' => '2px',
                'blur' => '12px', 'spread' => '0px']]]],
            'motion' => ['fast' => ['$type' => 'duration', '$value' => '120ms']],
            'broken' => ['$type' => 'color', 'one' => ['$value' => '{broken.two}'], 'two' => ['$value' => '{broken.one}']],
        ];
    }

    /** @return array<string, ForeignToken> by name and mode */
    private static function tokens(): array
    {
        $named = [];
        foreach (ForeignTokens::read(self::file())->tokens as $token) {
            $named[$token->name.($token->mode === null ? '' : " $token->mode")] = $token;
        }

        return $named;
    }

    public function test_references_composites_and_modes_are_read(): void
    {
        $tokens = self::tokens();
        self::assertSame('#f4f7f5', $tokens['semantic.background.page']->value);
        self::assertSame('#141a24', $tokens['semantic.background.page dark']->value);
        self::assertSame('#e8ecf4', $tokens['semantic.text.body dark']->value);
        self::assertSame('"Gill Sans", Optima, sans-serif', $tokens['type.heading.fontFamily']->value);
        self::assertSame([32.0, 600.0, 1.2], [$tokens['type.heading.fontSize']->value, $tokens['type.heading.fontWeight']->value,
            $tokens['type.heading.lineHeight']->value]);
        self::assertSame(['shadow', 12.0], [$tokens['shadow.card']->kind, $tokens['shadow.card']->value]);
        self::assertSame(['semantic', 'brand', 'primary'], $tokens['semantic.brandPrimary']->words());
        self::assertSame([
            '"semantic.text.body" in the mode "sepia" was left out: only light and dark are known here.',
            '"motion.fast" was left out: a look has nothing of the type "duration".',
            '"broken.one" was left out: a look has nothing of the type "color".',
            '"broken.two" was left out: a look has nothing of the type "color".',
        ], ForeignTokens::read(self::file())->left);
    }

    public function test_pointers_and_the_tokens_that_groups_are_by_themselves_are_read(): void
    {
        $json = json_encode([
            'base' => ['$type' => 'color', 'a/b' => ['$value' => ['colorSpace' => 'srgb', 'components' => [1, 0, 0]]]],
            'alias' => ['$ref' => '#/base/a~1b'],
            'text' => ['$root' => ['$value' => ['$ref' => '#/base/a~1b/$value'], '$type' => 'color'], 'muted' => ['$value' => '{text.$root}']],
            'circle' => ['$type' => 'color', '$value' => ['$ref' => '#/circle']],
            'more' => ['$extends' => '{base}', 'own' => ['$type' => 'dimension', '$value' => '4px']],
        ], JSON_THROW_ON_ERROR);
        foreach ([json_decode($json), json_decode($json, true)] as $file) {
            $read = ForeignTokens::read($file);
            self::assertSame(
                ['alias' => '#ff0000', 'base.a/b' => '#ff0000', 'more.own' => 4.0, 'text.$root' => '#ff0000', 'text.muted' => '#ff0000'],
                array_reduce($read->tokens, function (array $all, ForeignToken $one): array {
                    $all[$one->name] = $one->value;
                    ksort($all);

                    return $all;
                }, []),
            );
            self::assertSame([
                '"circle" was left out: a look has nothing of the type "color".',
                '"more" has what it has of its own: what it takes over from another group was left out.',
            ], $read->left);
        }
    }

    public function test_of_too_many_it_is_said(): void
    {
        $colours = array_fill(0, 4_100, ['$value' => '#123456']);
        $read = ForeignTokens::read(['all' => ['$type' => 'color'] + ['of' => ['x' => 1] + $colours]]);
        self::assertCount(4_000, $read->tokens);
        self::assertSame(['What comes after 4,000 tokens, or is in more than 24 groups, was left out.'], $read->left);
    }

    public function test_names_propose_what_is_what_and_the_owner_has_the_last_word(): void
    {
        self::assertFalse(DesignTokens::isOwn(self::file()));
        $file = ForeignTokens::read(self::file());
        $proposed = TokenMapping::proposed($file);
        self::assertSame('semantic.text.body', $proposed['light.ink']);
        self::assertSame('semantic.text.body', $proposed['dark.ink']);
        self::assertSame('semantic.background.page', $proposed['light.ground']);
        self::assertSame('semantic.text.muted', $proposed['light.quiet']);
        self::assertSame('semantic.brandPrimary', $proposed['light.accent']);
        self::assertSame('semantic.card.surface', $proposed['light.surface']);
        self::assertSame('type.heading.fontFamily', $proposed['tokens.headings']);
        self::assertSame('radius.card', $proposed['tokens.corner']);

        [$look, $left] = TokenMapping::look($file, ['light.link' => 'palette.moor.700'] + $proposed, 'Moor');
        self::assertSame(Scheme::Visitor, $look->scheme);
        self::assertSame(['#1d2333', '#2b4a3a', '#ffffff'], [$look->light->colours['ink'], $look->light->colours['link'],
            $look->light->colours['surface']]);
        self::assertSame(['#e8ecf4', '#141a24'], [$look->dark->colours['ink'], $look->dark->colours['ground']]);
        self::assertSame([100, 12, 2, 600], [$look->tokens->size, $look->tokens->corner, $look->tokens->shadow, $look->tokens->weight]);
        self::assertContains('"type.body.fontWeight" was not used.', $left);
    }

    public function test_nothing_is_proposed_by_its_kind_alone(): void
    {
        $length = fn (int $pixels): array => ['$type' => 'dimension', '$value' => ['value' => $pixels, 'unit' => 'px']];
        $colour = fn (string $hex): array => ['$type' => 'color', '$value' => $hex];
        $file = ForeignTokens::read([
            'radius' => ['md' => $length(8)],
            'border' => ['radius' => $length(3), 'width' => $length(1)],
            'breakpoint' => ['md' => $length(768)],
            'letter' => ['spacing' => $length(1)],
            'type' => [
                'body' => ['$type' => 'typography', '$value' => ['fontFamily' => 'Optima', 'fontSize' => ['value' => 18, 'unit' => 'px'],
                    'fontWeight' => 400, 'lineHeight' => 1.6]],
                'heading' => ['lineHeight' => ['$type' => 'number', '$value' => 1.1]],
            ],
            'color' => ['border' => ['default' => $colour('#cccccc')], 'text' => ['default' => $colour('#1c1c1c')]],
        ]);
        self::assertSame([
            'light.ink' => 'color.text.default',
            'light.line' => 'color.border.default',
            'tokens.text' => 'type.body.fontFamily',
            'tokens.size' => 'type.body.fontSize',
            'tokens.leading' => 'type.body.lineHeight',
            'tokens.corner' => 'radius.md',
            'tokens.edge' => 'border.width',
        ], TokenMapping::proposed($file));
    }

    public function test_what_cannot_be_is_said_with_its_place(): void
    {
        $file = ForeignTokens::read(self::file());
        foreach ([
            [['light.ink' => 'radius.card'], 'The file has no token "radius.card" that can be "light.ink".'],
            [['light.shine' => 'radius.card'], 'A look takes nothing as "light.shine".'],
            [['light.link' => 'semantic.brandPrimary'], 'Choose a token for the text, on light or on dark: the rest follows from it.'],
        ] as [$chosen, $said]) {
            try {
                TokenMapping::look($file, $chosen, 'x');
                self::fail($said);
            } catch (InvalidArgumentException $wrong) {
                self::assertSame($said, $wrong->getMessage());
            }
        }
        $this->expectExceptionMessage('This file has no design tokens that a look can use');
        ForeignTokens::read(['a' => ['b' => 1]]);
    }
}
