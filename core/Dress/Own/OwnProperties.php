<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/**
 * What own rules may say of which part. A list of what is taken, and nothing else: a widget stays where it is, as high and as wide as its
 * entries make it, and what was said, by whom, when, where and with which rating stays to be seen as it is.
 *
 * @internal
 */
final class OwnProperties
{
    /** Parts that say what was said and what it rests on: never hidden, and without a word beside them. */
    private const SAID = ['figure', 'base', 'rating', 'glyphs', 'title', 'words', 'name', 'source', 'date'];

    /** Parts that hold those. */
    private const HOLDING = ['widget', 'head', 'card', 'by', 'more'];

    /** Parts with words of the owner's own. */
    private const OWN = ['heading', 'line', 'button', 'control', 'labels', 'reply'];

    /** Parts that are drawn in a size of their own. */
    private const SIZED = ['face', 'picture', 'pictures', 'spread', 'button', 'control', 'heading', 'line'];

    private const SIDE = '(?:-(?:top|right|bottom|left|block|inline|block-start|block-end|inline-start|inline-end))?';

    private const CUSTOM = [
        '--corner' => [0, 60], '--inset' => [0, 64], '--rule' => [0, 12], '--edge' => [0, 12], '--picture-corner' => [0, 200],
        '--picture-edge' => [0, 12],
    ];

    /** Of shadows around boxes, which reach no farther than what the host cuts off, and of those of letters. */
    private const BOX = [[-24.0, 24.0], [-24.0, 24.0], [0.0, 40.0], [-12.0, 12.0]];

    private const LETTERS = [[-4.0, 4.0], [-4.0, 4.0], [0.0, 12.0]];

    /**
     * The value as it goes out.
     *
     * @param  string  $property  in small letters
     * @param  string  $value  without backslashes, braces and what ends a declaration
     * @param  non-empty-list<string>  $parts  as StyledParts names them, of all selectors of the rule
     * @param  bool  $isBeside  whether it is of what stands before or after a part
     *
     * @throws ValueIsRefused
     */
    public static function taken(string $property, string $value, array $parts, bool $isBeside): string
    {
        $isSaid = array_intersect($parts, self::SAID) !== [];
        $isKept = $isSaid || array_intersect($parts, self::HOLDING) !== [];
        if ($isBeside && $isSaid) {
            throw new ValueIsRefused('beside what was said nothing of one’s own may stand');
        }
        if (in_array(strtolower($value), ['inherit', 'initial', 'unset', 'revert'], true) && ! str_starts_with($property, '--')) {
            throw new ValueIsRefused('what that is depends on the page; write the value itself');
        }
        $side = self::SIDE;
        $corner = '(?:-(?:top|bottom|start|end)-(?:left|right|start|end))?';

        return match (true) {
            str_starts_with($property, '--') => self::custom($property, $value),
            $property === 'color' => OwnValues::colour($value, $isKept),
            in_array($property, ['background', 'background-color'], true) => OwnValues::background($value),
            $property === 'opacity' => OwnValues::number($value, $isKept ? 0.85 : 0.5, 1),
            $property === 'display' => self::display($value, $isKept, $isBeside),
            preg_match("/^border$side\$/D", $property) === 1 => OwnValues::line($value, 16),
            preg_match("/^border$side-width\$/D", $property) === 1 => OwnLength::several($value, 4, 0, 16),
            preg_match("/^border$side-style\$/D", $property) === 1 => OwnValues::words(
                $value,
                ['none', 'solid', 'dashed', 'dotted', 'double'],
            ),
            preg_match("/^border$side-color\$/D", $property) === 1,
            in_array($property, ['text-decoration-color', 'outline-color', 'stroke'], true) => OwnValues::colour($value),
            $property === 'fill' => OwnValues::colour($value, true),
            preg_match("/^border$corner-radius\$/D", $property) === 1 => OwnLength::several($value, 4, 0, 200),
            $property === 'box-shadow' => OwnValues::shadow($value, self::BOX),
            $property === 'text-shadow' => OwnValues::shadow($value, self::LETTERS),
            $property === 'outline' => self::outline($value),
            $property === 'outline-width' => OwnLength::taken($value, 1, 6),
            $property === 'outline-style' => OwnValues::word($value, ['solid', 'dashed', 'dotted', 'double']),
            $property === 'outline-offset' => OwnLength::taken($value, -4, 8),
            $property === 'filter' => OwnValues::filter($value),
            default => self::letters($property, $value, $parts) ?? self::room($property, $value, $parts, $isBeside),
        };
    }

    /** @param  list<string>  $parts @throws ValueIsRefused */
    private static function letters(string $property, string $value, array $parts): ?string
    {
        return match ($property) {
            'font-family' => OwnValues::font($value),
            'font-size' => OwnLength::taken($value, 11, 64),
            'font-weight' => in_array(strtolower($value), ['normal', 'bold'], true)
                ? strtolower($value) : OwnValues::number($value, 100, 900),
            'font-style' => OwnValues::word($value, ['normal', 'italic', 'oblique']),
            'font-stretch' => OwnValues::word($value, ['normal', 'condensed', 'semi-condensed', 'expanded', 'semi-expanded']),
            'font-variant', 'font-variant-numeric', 'font-variant-caps' => OwnValues::words(
                $value,
                ['normal', 'small-caps', 'all-small-caps', 'tabular-nums', 'oldstyle-nums', 'lining-nums', 'proportional-nums'],
            ),
            'font-kerning' => OwnValues::word($value, ['auto', 'normal', 'none']),
            'letter-spacing' => strtolower($value) === 'normal' ? 'normal' : OwnLength::taken($value, -1, 8),
            'word-spacing' => strtolower($value) === 'normal' ? 'normal' : OwnLength::taken($value, -2, 16),
            'line-height' => OwnValues::number($value, 1, 2.5),
            'text-align' => OwnValues::word($value, ['left', 'right', 'center', 'start', 'end', 'justify']),
            'text-decoration', 'text-decoration-line' => OwnValues::words(
                $value,
                ['none', 'underline', 'overline', 'solid', 'dotted', 'dashed', 'double', 'wavy'],
            ),
            'text-decoration-style' => OwnValues::word($value, ['solid', 'dotted', 'dashed', 'double', 'wavy']),
            'text-decoration-thickness' => OwnLength::taken($value, 1, 4),
            'text-underline-offset' => OwnLength::taken($value, 0, 8),
            'text-transform' => OwnValues::word($value, ['none', 'uppercase', 'lowercase', 'capitalize']),
            'text-indent' => OwnLength::taken($value, 0, 48),
            'text-wrap' => OwnValues::word($value, ['wrap', 'balance', 'pretty']),
            'white-space' => OwnValues::word(
                $value,
                array_diff($parts, ['button', 'control', 'labels', 'date']) === [] ? ['normal', 'nowrap'] : ['normal', 'pre-line'],
            ),
            'hyphens' => OwnValues::word($value, ['none', 'manual', 'auto']),
            'overflow-wrap' => OwnValues::word($value, ['anywhere', 'break-word']),
            'word-break' => OwnValues::word($value, ['normal', 'break-word']),
            'quotes' => OwnValues::words($value, ['none', 'auto']),
            default => null,
        };
    }

    /** @param  list<string>  $parts @throws ValueIsRefused */
    private static function room(string $property, string $value, array $parts, bool $isBeside): string
    {
        $isSized = $isBeside || array_diff($parts, self::SIZED) === [];
        $align = [
            'normal',
            'start',
            'end',
            'center',
            'stretch',
            'baseline',
            'flex-start',
            'flex-end',
            'space-between',
            'space-around',
            'left',
            'right',
        ];

        return match (true) {
            preg_match('/^padding'.self::SIDE.'$/D', $property) === 1 => OwnLength::several($value, 4, 0, 64),
            preg_match('/^margin'.self::SIDE.'$/D', $property) === 1 => OwnLength::several($value, 4, 0, 64),
            in_array($property, ['gap', 'row-gap', 'column-gap'], true) => OwnLength::several($value, 2, 0, 64),
            preg_match('/^(?:align|justify|place)-(?:items|self|content)$/D', $property) === 1 => OwnValues::words($value, $align),
            $property === 'vertical-align' => OwnValues::word($value, ['baseline', 'top', 'middle', 'bottom', 'text-top', 'text-bottom']),
            $property === 'transition' || str_starts_with($property, 'transition-') => OwnValues::transition($value),
            $property === 'stroke-width' => OwnLength::taken($value, 0, 4),
            in_array($property, ['width', 'height', 'min-width', 'min-height', 'inline-size', 'block-size'], true) && $isSized => 'min('
                .OwnLength::taken($value, 0, 480).',100%)',
            in_array($property, ['max-width', 'max-inline-size'], true) && $isSized => OwnLength::taken($value, 16, 1_600),
            in_array($property, ['max-width', 'max-inline-size'], true) && $parts === ['widget'] => OwnLength::taken($value, 240, 2_400),
            $property === 'aspect-ratio' && array_diff($parts, ['face', 'picture']) === [] => self::shape($value),
            $property === 'object-fit' => OwnValues::word($value, ['cover', 'contain']),
            $property === 'object-position' => OwnValues::words($value, ['left', 'right', 'top', 'bottom', 'center']),
            $property === 'content' => $isBeside
                ? OwnValues::content($value, array_diff($parts, self::OWN) === [])
                    : throw new ValueIsRefused('only text is allowed, before or after a part'),
            default => throw new ValueIsRefused($isSized || ! str_contains($property, 'width')
                ? 'this property is not allowed: it may reach beyond the widget'
                : 'this property is not allowed for this part: how wide it is, the layout decides'),
        };
    }

    /** @throws ValueIsRefused */
    private static function display(string $value, bool $isKept, bool $isBeside): string
    {
        if ($isKept && ! $isBeside) {
            throw new ValueIsRefused('what was said, and what it rests on, stays to be seen; which parts a card has is said under Layout');
        }

        return OwnValues::word($value, ['none', 'block', 'inline', 'inline-block', 'flex', 'inline-flex']);
    }

    /** @throws ValueIsRefused */
    private static function custom(string $property, string $value): string
    {
        return match (true) {
            ! isset(StyledParts::PROPERTIES[$property]) => throw new ValueIsRefused("$property is not a custom property of widgets"),
            isset(self::CUSTOM[$property]) => OwnLength::taken($value, ...self::CUSTOM[$property]),
            in_array($property, ['--text', '--heads'], true) => OwnValues::font($value),
            $property === '--weight' => OwnValues::number($value, 100, 900),
            $property === '--leading' => OwnValues::number($value, 1, 2.5),
            $property === '--shadow' => OwnValues::shadow($value, self::BOX),
            $property === '--back' => OwnValues::background($value),
            default => OwnValues::colour($value, ! in_array($property, ['--line', '--surface'], true)),
        };
    }

    /** Wide to high, as a number or as "3/2". @throws ValueIsRefused */
    private static function shape(string $value): string
    {
        $isShape = preg_match('~^\d{1,2}(?:\.\d+)?(?:\s*/\s*[1-9]\d?(?:\.\d+)?)?$~D', $value) === 1;

        return $isShape && (float) $value >= 0.4 && (float) $value <= 21
            ? $value : throw new ValueIsRefused('that is no shape such as "3/2"');
    }

    /** @throws ValueIsRefused */
    private static function outline(string $value): string
    {
        return strtolower($value) === 'none'
            ? throw new ValueIsRefused('who uses the keys could not see where they are') : OwnValues::line($value, 6);
    }
}
