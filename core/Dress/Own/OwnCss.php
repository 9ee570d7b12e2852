<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

use Gnomic\Dress\Css\CssValues;
use Gnomic\Dress\Dress;
use Gnomic\Text\Pieces;

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
                $declarations = $selectors === [] ? [] : $this->declarations($block, $selectors);
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

    /**
     * Of each selector, the part that it speaks of.
     *
     * @param  non-empty-list<string>  $selectors  as selectors() gives them
     * @return non-empty-list<string>
     */
    private static function subjects(array $selectors): array
    {
        $names = array_combine(array_column(StyledParts::ALL, 'class'), array_keys(StyledParts::ALL));

        return array_map(
            fn (string $selector): string => $names[(string) preg_replace('/^\.|:.*$/', '', (string) strrchr($selector, '.'))] ?? 'widget',
            $selectors,
        );
    }

    /**
     * @param  non-empty-list<string>  $selectors
     * @return list<string> "property:value" of those that are taken
     */
    private function declarations(OwnBlock $block, array $selectors): array
    {
        if (str_contains((string) $block->inside, '{')) {
            $this->problem($block->line, 'Nested rules are ignored; write them one after the other.');

            return [];
        }
        $parts = self::subjects($selectors);
        $isBeside = str_contains(implode(',', $selectors), '::');
        $taken = $colour = [];
        foreach (OwnBlocks::declarations((string) $block->inside, $block->insideLine) as [$text, $line]) {
            if (preg_match('/^\s*(-{0,2}[a-z][a-z0-9-]*)\s*:\s*(.+?)\s*(!\s*important)?\s*$/isD', $text, $found) !== 1) {
                $this->problem($line, self::short($text).' is left out: it is no declaration such as "color: #123456".');

                continue;
            }
            $property = strtolower($found[1]);
            try {
                $value = OwnProperties::taken($property, self::clean($found[2]), $parts, $isBeside);
            } catch (ValueIsRefused $why) {
                $this->problem($line, self::short($text)." is left out: {$why->getMessage()}.");

                continue;
            }
            $taken[] = "$property:$value".(isset($found[3]) ? '!important' : '');
            if (in_array($property, ['color', 'background', 'background-color'], true)) {
                $colour[$property === 'color' ? 'over' : 'behind'] = $value;
            }
        }
        if (isset($colour['over'])) {
            $this->colours[] = new OwnColour(
                $block->line,
                StyledParts::ALL[$parts[0]]['class'],
                $colour['over'],
                $colour['behind'] ?? null,
            );
        }

        return $taken;
    }

    /** @throws ValueIsRefused */
    private static function clean(string $value): string
    {
        $bare = (string) preg_replace('/"[^"\\\\<\n]*"|\'[^\'\\\\<\n]*\'/', '', $value);
        if (
            preg_match('/[\\\\<>{}@;:!`"\'\x00-\x08\x0b-\x1f\x7f]/', str_replace("\n", ' ', $bare)) === 1 || strlen($value) > 600
                || substr_count($bare, '(') !== substr_count($bare, ')')
        ) {
            throw new ValueIsRefused('its value has characters that are not taken, or a bracket that is not closed');
        }

        return trim((string) preg_replace('/\s+/', ' ', $value));
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
