<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

use Gnomic\Dress\Css\CssValues;
use Gnomic\Dress\Dress;
use Gnomic\Text\Pieces;
use Sabberworm\CSS\OutputFormat;
use Sabberworm\CSS\Parser;
use Sabberworm\CSS\Parsing\SourceException;
use Sabberworm\CSS\RuleSet\DeclarationBlock;
use Sabberworm\CSS\Settings;

/**
 * Rules of the owner's own, confined to the widget: nothing is put through that was not understood. Selectors may speak of documented
 * parts alone, declarations of properties that stay inside, values of functions that load nothing; each is written out anew from what
 * was read, so that nothing depends on how a browser reads what we did not.
 */
final class OwnCss
{
    private const PSEUDO = '(?::(?:hover|focus|focus-visible|focus-within|active|first-child|last-child'
        .'|nth-child\((?:odd|even|[\dn +-]{1,12})\)))*';

    private const ELEMENT = '(?:::(?:before|after))?';

    /** Queries of the page and of who looks at it; sizes and preferences, no more. */
    private const QUERY = '/^(?:\s|and|or|not|only|screen|print|all|,'
        .'|\((?:(?:min-|max-)?(?:width|height)|prefers-[a-z-]+|hover|pointer|orientation|forced-colors)'
        .'\s*(?::\s*[a-z0-9.-]+(?:px|em|rem)?)?\)'
        .'|\((?:width|height)\s*[<>]=?\s*[\d.]+(?:px|em|rem)\))+$/i';

    private const SIDE = '(?:-(?:top|right|bottom|left|block|inline|block-start|block-end|inline-start|inline-end))?';

    private const PROPERTY = '/^(?:color|background|background-color|opacity|visibility|display'
        .'|border'.self::SIDE.'(?:-(?:width|style|color))?'
        .'|border(?:-(?:top|bottom|start|end)-(?:left|right|start|end))?-radius|box-shadow|outline(?:-(?:width|style|color|offset))?'
        .'|font|font-(?:family|size|weight|style|stretch|variant|variant-numeric|variant-caps|feature-settings|kerning)'
        .'|letter-spacing|word-spacing|line-height'
        .'|text-(?:align|decoration|decoration-color|decoration-style|decoration-thickness|decoration-line|transform'
        .'|underline-offset|indent|shadow|wrap|overflow)|white-space|hyphens|overflow-wrap'
        .'|word-break|quotes|content|(?:padding|margin)'.self::SIDE
        .'|gap|row-gap|column-gap|(?:min-|max-)?(?:width|height|inline-size|block-size)|aspect-ratio|object-fit|object-position'
        .'|flex|flex-(?:grow|shrink|basis|direction|wrap)|align-(?:items|self|content)|justify-(?:items|self|content)'
        .'|place-(?:items|self|content)|order|vertical-align|transition(?:-(?:property|duration|timing-function|delay))?'
        .'|fill|stroke|stroke-width|accent-color|filter|list-style-type|hyphenate-character)$/';

    private const FUNCTIONS = [
        'rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'color', 'color-mix', 'light-dark', 'var', 'calc', 'min',
        'max', 'clamp', 'linear-gradient', 'radial-gradient', 'conic-gradient', 'repeating-linear-gradient', 'repeating-radial-gradient',
        'cubic-bezier', 'steps', 'grayscale', 'brightness', 'contrast', 'saturate', 'sepia', 'hue-rotate', 'blur', 'drop-shadow', '',
    ];

    /** The most of each unit, either way: a widget does not swell over its page. */
    private const MOST = [
        'px' => 1200, 'em' => 60, 'rem' => 60, 'ch' => 120, 'ex' => 120, 'lh' => 40, '%' => 400, 'cqi' => 100, 'deg' => 3600, 'turn' => 10,
        'rad' => 60, 's' => 10, 'ms' => 10_000, 'fr' => 100,
    ];

    /** @var list<OwnProblem> */
    private array $problems = [];

    /** @var list<OwnColour> */
    private array $colours = [];

    private function __construct()
    {
    }

    /** @param  string  $css  as it was written; null bytes and all */
    public static function read(string $css): OwnRules
    {
        $reader = new self;
        if (strlen($css) > 4 * Dress::CSS) {
            $reader->problem(1, 'There are more than '.number_format(Dress::CSS).' characters; none of them is read.');
            $css = '';
        }
        $clean = $reader->rules(OwnBlocks::of($css), true);

        return new OwnRules($clean, $reader->problems, $reader->colours);
    }

    /** @param  list<OwnBlock>  $blocks */
    private function rules(array $blocks, bool $isOuter): string
    {
        $written = '';
        foreach ($blocks as $block) {
            $prelude = $block->prelude;
            if ($block->inside === null) {
                $this->problem(
                    $block->line,
                    'This is not a rule: a rule has a selector and a block in braces'.(
                        $prelude === '' ? '.' : ', and this has none: '.self::short($prelude).'.'
                    ),
                );
            } elseif (str_starts_with($prelude, '@')) {
                $written .= $this->atRule($block, $isOuter);
            } else {
                $selectors = $this->selectors($prelude, $block->line);
                $declarations = $selectors === [] ? [] : $this->declarations($block, self::subject($selectors));
                $written .= $declarations === [] ? '' : implode(',', $selectors).'{'.implode(';', $declarations).'}';
            }
        }

        return $written;
    }

    private function atRule(OwnBlock $block, bool $isOuter): string
    {
        if (preg_match('/^@media\s+(.+)$/isD', $block->prelude, $found) !== 1 || preg_match(self::QUERY, $found[1]) !== 1 || ! $isOuter) {
            $this->problem(
                $block->line,
                self::short($block->prelude).' is left out: of rules that begin with "@", only "@media" with sizes and '
                    .'preferences is taken.',
            );

            return '';
        }
        $inside = $this->rules(OwnBlocks::of((string) $block->inside, $block->insideLine), false);

        return $inside === '' ? '' : '@media '.strtolower(trim((string) preg_replace('/\s+/', ' ', $found[1])))."{{$inside}}";
    }

    /** @return list<string> as they are within the widget; empty where one of them is refused */
    private function selectors(string $prelude, int $line): array
    {
        $selectors = [];
        foreach (CssValues::listed($prelude) as $selector) {
            $parts = [];
            foreach (Pieces::of(strtr($selector, ['>' => ' > '])) as $compound) {
                $one = $compound === '>' ? '>' : self::compound($compound);
                if ($one === null) {
                    $this->problem(
                        $line,
                        self::short($selector).' is left out: a rule speaks of parts of the widget, such as ".card" or "::part(card)".',
                    );

                    return [];
                }
                $parts[] = $one;
            }
            $written = implode(' ', array_filter($parts, fn (string $part): bool => $part !== ''));
            // As strong as the strongest of the widget's own rules.
            $selectors[] = str_starts_with($written, '.g') ? $written : ".g $written";
        }

        return $selectors;
    }

    /** @return string|null within the widget; empty for its outside before a part; null where it is none of the parts */
    private static function compound(string $compound): ?string
    {
        $pattern = '/^(?:(?:gnomic-widget)?::part\(\s*([a-z]+)\s*\)|\.([a-z]+)|(:host|gnomic-widget))'
            .'('.self::PSEUDO.')('.self::ELEMENT.')$/D';
        if (preg_match($pattern, $compound, $found) !== 1) {
            return null;
        }
        $name = $found[3] !== '' ? 'widget' : $found[1].$found[2];
        $part = StyledParts::ALL[$name] ?? null;

        return $part === null ? null : ".{$part['class']}{$found[4]}{$found[5]}";
    }

    /** @param  non-empty-list<string>  $selectors */
    private static function subject(array $selectors): string
    {
        return (string) preg_replace('/:.*$/', '', (string) strrchr($selectors[0], '.'));
    }

    /** @return list<string> "property:value" of those that are taken */
    private function declarations(OwnBlock $block, string $subject): array
    {
        if (str_contains((string) $block->inside, '{')) {
            $this->problem($block->line, 'Nested rules are ignored; write them one after the other.');

            return [];
        }
        $taken = $colour = [];
        foreach (OwnBlocks::declarations((string) $block->inside, $block->insideLine) as [$text, $line]) {
            $read = self::parsed($text);
            if ($read === null) {
                $this->problem($line, self::short($text).' is left out: it is no declaration such as "color: #123456".');

                continue;
            }
            [$property, $value, $isImportant] = $read;
            $isOwn = str_starts_with($property, '--');
            $isKnown = $isOwn ? isset(StyledParts::PROPERTIES[$property]) : preg_match(self::PROPERTY, $property) === 1;
            $why = $isKnown ? self::wrong($property, $value) : ($isOwn
                ? 'this is not a custom property of widgets' : 'this property is not allowed: it may reach beyond the widget');
            if ($why !== null) {
                $this->problem($line, self::short($text)." is left out: $why.");

                continue;
            }
            $taken[] = "$property:$value".($isImportant ? '!important' : '');
            if (in_array($property, ['color', 'background', 'background-color'], true)) {
                $colour[$property === 'color' ? 'over' : 'behind'] = $value;
            }
        }
        if (isset($colour['over'])) {
            $this->colours[] = new OwnColour($block->line, ltrim($subject, '.'), $colour['over'], $colour['behind'] ?? null);
        }

        return $taken;
    }

    /** @return array{string, string, bool}|null property, value, and whether it is important; as the parser has read them */
    private static function parsed(string $declaration): ?array
    {
        try {
            $document = (new Parser("a{{$declaration}}", Settings::create()->beStrict()))->parse();
        } catch (SourceException) {
            return null;
        }
        $blocks = $document->getContents();
        $rules = count($blocks) === 1 && $blocks[0] instanceof DeclarationBlock ? $blocks[0]->getDeclarations() : [];
        if (count($rules) !== 1) {
            return null;
        }
        $value = $rules[0]->getValue();
        $value = is_string($value) ? $value : (is_object($value) ? $value->render(OutputFormat::createCompact()) : '');

        return [strtolower($rules[0]->getPropertyName()), trim($value), $rules[0]->getIsImportant()];
    }

    /** @return string|null why a value is not taken; null where it is */
    private static function wrong(string $property, string $value): ?string
    {
        $bare = (string) preg_replace('/"[^"\\\\<\n]*"|\'[^\'\\\\<\n]*\'/', '""', $value);
        if ($value === '' || preg_match('/[\\\\<>{}@;:\x00-\x08\x0b-\x1f\x7f`]/', $bare) === 1 || strlen($value) > 600) {
            return 'its value has characters that are not allowed';
        }
        if ($property === 'content' && preg_match('/^(?:""|none|normal|open-quote|close-quote|\s)+$/D', $bare) !== 1) {
            return 'only text is allowed';
        }
        preg_match_all('/([\w-]*)\(/', $bare, $calls);
        foreach ($calls[1] as $call) {
            if (! in_array(strtolower($call), self::FUNCTIONS, true)) {
                return "\"$call()\" is not taken: it may load something, or reach beyond the widget";
            }
        }
        preg_match_all('/(--[\w-]+)/', $bare, $variables);
        foreach ($variables[1] as $variable) {
            if (! isset(StyledParts::PROPERTIES[$variable])) {
                return "$variable is not a custom property of widgets";
            }
        }
        preg_match_all('/(?<![\w#.-])([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z]+|%)?/i', $bare, $numbers, PREG_SET_ORDER);
        foreach ($numbers as $number) {
            $most = ($number[2] ?? '') === '' ? 10_000 : self::MOST[strtolower($number[2])] ?? null;
            if ($most === null || abs((float) $number[1]) > $most) {
                return $most === null ? "\"$number[2]\" is not taken as a unit" : "$number[0] is too much";
            }
            if ((float) $number[1] < 0 && str_starts_with($property, 'margin')) {
                return 'a negative margin covers what is next to it';
            }
        }

        return null;
    }

    private function problem(int $line, string $text): void
    {
        if (count($this->problems) < 100) {
            $this->problems[] = new OwnProblem($line, $text);
        }
    }

    private static function short(string $text): string
    {
        return '"'.mb_strimwidth(trim((string) preg_replace('/\s+/', ' ', mb_scrub($text))), 0, 60, '…').'"';
    }
}
