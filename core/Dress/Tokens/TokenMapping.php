<?php

declare(strict_types=1);

namespace Gnomic\Dress\Tokens;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Look;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;
use InvalidArgumentException;

/** Which tokens of somebody's file become which of a look: proposed by their names and kinds, and then as the owner says. */
final class TokenMapping
{
    /** Words of headings, and of lengths that are no size of words. */
    private const HEADS = ['heading', 'headline', 'title', 'display', 'h1', 'h2', 'h3'];

    private const LENGTHS = ['radius', 'corner', 'rounded', 'border', 'stroke', 'space', 'spacing', 'padding', 'inset', 'gap', 'gutter',
        'letter', 'line', 'indent', 'breakpoint', 'screen'];

    /**
     * What a look takes, by words of which it has to have one, the likeliest first, by others that weigh as much once it has, and by those
     * that say it is something else.
     */
    private const COLOURS = [
        'ink' => [['text', 'foreground', 'ink', 'body', 'content'], ['default']],
        'ground' => [['background', 'canvas', 'page', 'base', 'bg'], ['default']],
        'groundTo' => [['gradient'], ['to']],
        'surface' => [['surface', 'card', 'panel', 'container', 'raised'], []],
        'quiet' => [['muted', 'secondary', 'subtle', 'quiet', 'tertiary', 'weak'], ['text']],
        'line' => [['border', 'line', 'divider', 'outline', 'stroke', 'separator'], []],
        'accent' => [['accent', 'primary', 'brand', 'action', 'interactive'], []],
        'rating' => [['rating', 'star', 'accent', 'warning', 'primary'], []],
        'link' => [['link', 'anchor', 'accent', 'primary'], []],
        'control' => [['control', 'focus', 'ring', 'accent', 'primary'], []],
        'heading' => [self::HEADS, []],
        'button' => [['button', 'cta'], []],
    ];

    /** The same, and before it of which kind. */
    private const OTHERS = [
        'text' => ['family', ['body', 'text', 'base', 'sans', 'font', 'family'], [], self::HEADS],
        'headings' => ['family', self::HEADS, [], []],
        'size' => ['length', ['body', 'text', 'font'], ['base', 'size', 'md', 'medium'], [...self::HEADS, ...self::LENGTHS]],
        'headingSize' => ['length', self::HEADS, ['size'], self::LENGTHS],
        'weight' => ['weight', [...self::HEADS, 'bold'], ['weight'], []],
        'leading' => ['number', ['line', 'height', 'leading'], ['body', 'text', 'base'], self::HEADS],
        'corner' => ['length', ['radius', 'corner', 'rounded'], ['card', 'md', 'medium', 'base'], []],
        'inset' => ['length', ['padding', 'inset', 'space', 'spacing'], ['card', 'md', 'lg'], ['letter']],
        'gap' => ['length', ['gap', 'gutter', 'space', 'spacing'], ['md', 'lg'], ['letter', 'padding', 'inset']],
        'edge' => ['length', ['border', 'stroke'], ['width'], ['radius', 'corner']],
        'shadow' => ['shadow', ['shadow', 'elevation', 'card', 'md', 'medium', 'raised'], [], []],
    ];

    /** @return array<string, 'colour'|'length'|'number'|'weight'|'family'|'shadow'> what a look takes, by "light.ink", "tokens.corner" */
    public static function targets(): array
    {
        $targets = [];
        foreach (['light', 'dark'] as $scheme) {
            foreach (array_keys(self::COLOURS) as $token) {
                $targets["$scheme.$token"] = 'colour';
            }
        }
        foreach (self::OTHERS as $token => [$kind]) {
            $targets["tokens.$token"] = $kind;
        }

        return $targets;
    }

    /** @return array<string, string> names of tokens by target, those that are called so */
    public static function proposed(ForeignTokens $file): array
    {
        $proposed = [];
        $hasDark = array_filter($file->tokens, fn (ForeignToken $one): bool => $one->mode === 'dark') !== [];
        foreach (self::targets() as $target => $kind) {
            [$group, $token] = explode('.', $target, 2);
            if ($group === 'dark' && ! $hasDark) {
                continue;
            }
            [$telling, $others, $never] = $group === 'tokens' ? array_slice(self::OTHERS[$token], 1) : [...self::COLOURS[$token], []];
            $best = null;
            foreach ($file->tokens as $one) {
                $isHere = $group === 'tokens' ? $one->mode !== 'dark' : in_array($one->mode, [null, $group], true);
                $isOf = $one->kind === $kind && $isHere;
                $score = $isOf ? self::score($one, $telling, $others, $never) + ($one->mode === $group ? 0.5 : 0.0) : 0.0;
                if ($score >= 1.0 && ($best === null || $score > $best[0])) {
                    $best = [$score, $one->name];
                }
            }
            if ($best !== null) {
                $proposed[$target] = $best[1];
            }
        }

        return $proposed;
    }

    /**
     * @param  list<string>  $telling  words of which it has to have one, the likeliest first
     * @param  list<string>  $others
     * @param  list<string>  $never
     */
    private static function score(ForeignToken $token, array $telling, array $others, array $never): float
    {
        $has = $token->words();
        if (array_intersect($telling, $has) === [] || array_intersect($never, $has) !== []) {
            return 0.0;
        }
        $words = [...$telling, ...$others];
        $score = 0.5;
        foreach ($words as $place => $word) {
            $score += in_array($word, $has, true) ? 1.6 - 1.1 * $place / count($words) : 0.0;
        }

        // Of as good ones the shorter name is the more general.
        return $score - 0.02 * count($has);
    }

    /**
     * @param  array<string, string>  $chosen  names of tokens by target
     * @return array{Look, list<string>} and what was left out, in words
     *
     * @throws InvalidArgumentException where a target or a token is not there, or it has no colour of words
     */
    public static function look(ForeignTokens $file, array $chosen, string $name): array
    {
        $groups = ['light' => [], 'dark' => [], 'tokens' => []];
        $used = [];
        foreach ($chosen as $target => $of) {
            $kind = self::targets()[$target] ?? throw new InvalidArgumentException("A look takes nothing as \"$target\".");
            [$group, $token] = explode('.', $target, 2);
            $found = null;
            foreach ($file->tokens as $one) {
                if ($one->name === $of && $one->kind === $kind && ($found === null || $one->mode === $group)) {
                    $found = $one;
                }
            }
            if ($found === null) {
                throw new InvalidArgumentException("The file has no token \"$of\" that can be \"$target\".");
            }
            $used[$of] = true;
            $groups[$group][$token] = $found->value;
        }
        $light = self::palette($groups['light']);
        $dark = self::palette($groups['dark']);
        $first = $light ?? $dark ?? throw new InvalidArgumentException(
            'Choose a token for the text, on light or on dark: the rest follows from it.',
        );
        $left = [];
        foreach ($file->tokens as $one) {
            if (! isset($used[$one->name])) {
                $left["\"$one->name\" was not used."] = true;
            }
        }

        return [Look::of(
            'new',
            $name,
            'From a file of design tokens',
            $light === null ? Scheme::Dark : ($dark === null ? Scheme::Light : Scheme::Visitor),
            $light ?? $first->turned(),
            $dark ?? $first->turned(),
            LookTokens::read(self::tokens($groups['tokens']), '/tokens'),
            Look::USUAL,
        ), [...$file->left, ...array_keys($left)]];
    }

    /** @param  array<string, string|float>  $colours */
    private static function palette(array $colours): ?Palette
    {
        $ink = $colours['ink'] ?? null;
        if (! is_string($ink)) {
            return null;
        }
        $ground = Colour::tryHex((string) ($colours['ground'] ?? '')) ?? Colour::hex(
            (Colour::tryHex($ink)?->luminance() ?? 0.0) > 0.4 ? '#000000' : '#ffffff',
        );
        $over = fn (string $token): string => substr((string) ($colours[$token] ?? $colours['accent'] ?? $ink), 0, 7);
        $words = Colour::tryHex(substr($ink, 0, 7)) ?? Colour::hex('#000');

        return Palette::read(array_filter([
            'ground' => $ground->toHex(),
            'groundTo' => $colours['groundTo'] ?? null,
            'surface' => $colours['surface'] ?? null,
            'ink' => substr($ink, 0, 7),
            'quiet' => substr((string) ($colours['quiet'] ?? $words->mixed($ground->withAlpha(1.0), 0.72)->toHex()), 0, 7),
            'line' => $colours['line'] ?? $words->mixed($ground->withAlpha(1.0), 0.2)->toHex(),
            'accent' => $over('accent'),
            'rating' => $over('rating'),
            'link' => $over('link'),
            'control' => $over('control'),
            'heading' => isset($colours['heading']) ? substr((string) $colours['heading'], 0, 7) : null,
            'button' => isset($colours['button']) ? substr((string) $colours['button'], 0, 7) : null,
        ], fn (mixed $colour): bool => $colour !== null), '/light');
    }

    /**
     * @param  array<string, string|float>  $given
     * @return array<string, int|string>
     */
    private static function tokens(array $given): array
    {
        $number = fn (string $token): ?float => isset($given[$token]) && is_float($given[$token]) ? $given[$token] : null;
        $bound = fn (?float $value, float $least, float $most): ?int => $value === null ? null
            : (int) round(max($least, min($most, $value)));
        $size = $number('size') === null ? null : $number('size') / 16 / LookTokens::WORDS;
        $blur = $number('shadow');
        $heading = $number('headingSize');

        return array_filter([
            'text' => $given['text'] ?? null,
            'headings' => $given['headings'] ?? null,
            'size' => $bound($size === null ? null : 100 * $size, 60, 200),
            'headingSize' => $bound($heading === null ? null : 100 * $heading / (16 * ($size ?? 1.0)), 60, 500),
            'weight' => $bound($number('weight'), 300, 900),
            'leading' => $bound($number('leading') === null ? null : 100 * $number('leading'), 100, 220),
            'corner' => $bound($number('corner'), 0, 32),
            'inset' => $bound($number('inset'), 0, 64),
            'gap' => $bound($number('gap'), 0, 80),
            'edge' => $bound($number('edge'), 0, 4),
            'shadow' => $blur === null ? null : match (true) {
                $blur <= 0 => 0,
                $blur <= 6 => 1,
                $blur <= 14 => 2,
                $blur <= 28 => 3,
                default => 4,
            },
        ], fn (mixed $value): bool => is_int($value) || is_string($value));
    }
}
