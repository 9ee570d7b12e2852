<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Closure;
use Gnomic\Dress\Css\CssValues;

/**
 * Reads style sheets for what they say of a page (CSS Syntax 3, Cascade 5, Nesting 1): which rules hold at a width and in a scheme, in
 * the order of the cascade. Made for megabytes: what could touch nothing of the page is passed over before anything of it is kept.
 */
final class SheetReader
{
    /** Sheets in sheets, and rules in rules. */
    private const DEEP = 16;

    /** Rules that are kept: a page has no more that matter. */
    private const MOST = 60_000;

    /** Characters of a selector. */
    private const LONGEST = 20_000;

    /** Properties that are computed; a rule that has none of them is passed over. */
    private const RELEVANT = '/(?:^|[;{\s])(?:--|color|background|font|border|padding|line-height|all\s*:|box-shadow|opacity|gap|row-gap'
        .'|column-gap|display|text-|letter-spacing|margin|width|min-|max-|inline-size|container|float|box-sizing|flex|grid|position)/i';

    /** Comments, strings, addresses, and what older pages hide their rules by; a string that is not closed ends with its line. */
    private const WHOLE = '~\\\\.|<!--|-->|/\*(?:[^*]++|\*(?!/))*+(?:\*/|$)|"(?:[^"\\\\\n]++|\\\\.)*+(?:"|(?=\n)|$)'
        .'|\'(?:[^\'\\\\\n]++|\\\\.)*+(?:\'|(?=\n)|$)|url\([^)"\']*+\)~s';

    /** @var list<StyleRule> */
    private array $rules = [];

    /** @var array<string, string> custom properties that are registered: their value where nobody sets them */
    private array $registered = [];

    /** @var array<string, bool> those of them that children do not take over */
    private array $alone = [];

    /** @var array<string, int> places of layers among their siblings, by their whole name */
    private array $layers = [];

    /** @var array<string, int> */
    private array $counted = [];

    private int $nameless = 0;

    /**
     * @param  Closure(string): (array{css: string, name: string, address: string}|null)  $import  fetches a sheet by its address; null
     *     where it cannot be had
     * @param  PageNames  $names  of the page's elements, classes and identifiers
     */
    public function __construct(private readonly Viewport $viewport, private readonly PageNames $names, private readonly Closure $import)
    {
    }

    /**
     * @param  string  $name  of the sheet, for people
     * @param  string  $address  against which what it names is found
     * @param  string  $media  queries under which it holds
     */
    public function read(string $css, string $name, string $address = '', string $media = ''): void
    {
        if ($this->viewport->matches($media)) {
            $this->block(SheetBlock::sheet(self::tidy($css), RuleContext::sheet($name, $address, ''), 0));
        }
    }

    /** @return list<StyleRule> in their order */
    public function rules(): array
    {
        return $this->rules;
    }

    /** @return array<string, string> */
    public function registered(): array
    {
        return $this->registered;
    }

    /** @return array<string, bool> */
    public function alone(): array
    {
        return $this->alone;
    }

    /** Without comments and data that is held in addresses; lines stay where they were. */
    private static function tidy(string $css): string
    {
        if (! mb_check_encoding($css, 'UTF-8')) {
            $css = mb_convert_encoding($css, 'UTF-8', 'Windows-1252');
        }
        $css = (string) preg_replace(['/^\xEF\xBB\xBF/', '~url\(\s*(["\']?)data:[^"\')]*+\1\s*\)~i'], ['', 'url(data:)'], $css);

        // What ends rules is no end within a string.
        return (string) preg_replace_callback(self::WHOLE, fn (array $one): string => match (true) {
            $one[0] === '<!--', $one[0] === '-->' => ' ',
            // An escaped sign is none; one that ends rules would be taken for it all the same.
            $one[0][0] === '\\' => strtr($one[0], '{};', '___'),
            $one[0][0] === '/' => str_repeat("\n", substr_count($one[0], "\n")).' ',
            strlen($one[0]) < 2 || ($one[0][0] !== 'u' && $one[0][-1] !== $one[0][0]) => Declaration::BROKEN,
            strpbrk($one[0], '{};') !== false => strtr($one[0], '{};', '   '),
            default => $one[0],
        }, $css);
    }

    /** What stands at the top of a sheet, in a rule that groups others, or in a rule with others nested in it. */
    private function block(SheetBlock $in): void
    {
        if ($in->depth > self::DEEP) {
            return;
        }
        [$css, $at, $end, $line] = [$in->css, $in->from, $in->to, $in->line];
        $own = '';
        $isStray = false;
        $counted = $at;
        while ($at < $end && count($this->rules) < self::MOST) {
            $stop = $at + strcspn($css, '{};', $at, $end - $at);
            $prelude = substr($css, $at, min($stop, $end) - $at);
            $first = $at + strspn($prelude, " \t\r\n\f");
            $line += substr_count($css, "\n", $counted, max(0, min($first, $end) - $counted));
            $counted = max($counted, min($first, $end));
            $prelude = trim($prelude);
            if ($stop >= $end || $css[$stop] !== '{') {
                if ($prelude !== '' && $prelude[0] === '@') {
                    $this->statement($prelude, $in);
                } elseif ($in->context->parent !== null && $prelude !== '') {
                    $own .= $prelude.';';
                }
                // A brace that closes nothing belongs to the rule behind it, which is none by that.
                $isStray = $isStray || ($stop < $end && $css[$stop] === '}');
                $at = $stop + 1;

                continue;
            }
            // The value of a custom property may be a block of its own.
            $close = self::closing($css, $stop, $end);
            if ($in->context->parent !== null && preg_match('/^--[\w-]+\s*:/', $prelude) === 1) {
                $at = $close + 1;

                continue;
            }
            if ($isStray) {
                [$isStray, $at] = [false, $close + 1];

                continue;
            }
            // What a rule says stands in order with what is nested in it (CSS Nesting 1, 4).
            $this->own($in, $own, $line);
            $own = '';
            $this->rule($prelude, $in->inner($stop + 1, $close, $line));
            $at = $close + 1;
        }
        $this->own($in, $own, $line);
    }

    private function own(SheetBlock $in, string $own, int $line): void
    {
        if ($in->context->parent !== null && $own !== '') {
            $this->keep($in->context->parent, $own, $in->context, $line);
        }
    }

    private function rule(string $prelude, SheetBlock $body): void
    {
        if ($prelude === '') {
            return;
        }
        if ($prelude[0] === '@') {
            $context = $this->group($prelude, $body);
            if ($context !== null) {
                $this->block($body->under($context));
            }

            return;
        }
        $selector = $body->context->parent === null ? $prelude : self::nested($body->context->parent, $prelude);
        if ($body->context->parent === null && $body->context->scope !== null) {
            $selector = str_replace('&', ':where(:scope)', $selector);
        }
        // Rules nested in themselves grow without end; nobody's selector is that long.
        if (strlen($selector) > self::LONGEST) {
            return;
        }
        if ($body->hasBlocks()) {
            $this->block($body->under($body->context->inRule($selector)));
        } else {
            $this->keep($selector, $body->text(), $body->context, $body->line);
        }
    }

    private function keep(string $selector, string $block, RuleContext $context, int $line): void
    {
        if (preg_match(self::RELEVANT, $block) === 1 && $this->names->mayMatch($selector)) {
            $this->rules[] = new StyleRule($selector, $block, $context->layer.'~', $context, $line);
        }
    }

    /** @return RuleContext|null of what stands in a rule that groups others; null where nothing of it holds */
    private function group(string $prelude, SheetBlock $body): ?RuleContext
    {
        preg_match('/^@([\w-]+)\s*(.*)$/sD', $prelude, $found);
        [$rule, $of] = $found === [] ? ['', ''] : [strtolower($found[1]), trim($found[2])];
        if ($rule === 'property') {
            $this->register($of, $body->text());
        }
        $context = $body->context;

        return match ($rule) {
            'media' => $this->viewport->matches($of) ? $context : null,
            'supports' => $this->viewport->supports($of) ? $context : null,
            'container' => $context->inContainer($of),
            'layer' => $context->inLayer($this->layer($context->layer, $of === '' ? 'nameless '.++$this->nameless : $of)),
            'scope' => $context->inScope($of),
            default => null,
        };
    }

    private function register(string $name, string $block): void
    {
        foreach (Declaration::all($block, '', null) as $declaration) {
            if ($declaration->name === 'initial-value') {
                $this->registered[$name] = $declaration->value;
            } elseif ($declaration->name === 'inherits' && $declaration->value === 'false') {
                $this->alone[$name] = true;
            }
        }
    }

    private function statement(string $statement, SheetBlock $in): void
    {
        $layer = $in->context->layer;
        if (preg_match('/^@layer\s+(.+)$/sDi', $statement, $found) === 1) {
            foreach (CssValues::listed($found[1]) as $name) {
                $this->layer($layer, $name);
            }
        }
        $pattern = '/^@import\s+(?:url\(\s*)?["\']?([^"\')\s]+)["\']?\s*\)?\s*(.*)$/sDi';
        if (preg_match($pattern, $statement, $found) !== 1) {
            return;
        }
        $rest = trim($found[2]);
        $inner = $layer;
        if (preg_match('/^layer(?:\(([^)]*)\))?\s*(.*)$/sDi', $rest, $of) === 1) {
            $inner = $this->layer($layer, $of[1] === '' ? 'nameless '.++$this->nameless : $of[1]);
            $rest = trim($of[2]);
        }
        if (preg_match('/^supports\((.*?)\)\s*(.*)$/sDi', $rest, $of) === 1) {
            $rest = $this->viewport->supports("($of[1])") ? trim($of[2]) : 'not all';
        }
        $sheet = $this->viewport->matches($rest) ? ($this->import)($found[1]) : null;
        if ($sheet !== null) {
            $context = RuleContext::sheet($sheet['name'], $sheet['address'], $inner);
            $this->block(SheetBlock::sheet(self::tidy($sheet['css']), $context, $in->depth + 1));
        }
    }

    /** What sorts a layer in its place: its own rules come after those of the layers in it. */
    private function layer(string $in, string $name): string
    {
        foreach (explode('.', $name) as $one) {
            $whole = "$in|$one";
            $this->layers[$whole] ??= $this->counted[$in] = ($this->counted[$in] ?? 0) + 1;
            $in .= sprintf('%04d', $this->layers[$whole]);
        }

        return $in;
    }

    private static function closing(string $css, int $open, int $end): int
    {
        $depth = 1;
        $at = $open + 1;
        while ($at < $end) {
            $at += strcspn($css, '{}', $at, $end - $at);
            if ($at >= $end) {
                break;
            }
            $depth += $css[$at] === '{' ? 1 : -1;
            if ($depth === 0) {
                return $at;
            }
            $at++;
        }

        return $end;
    }

    private static function nested(string $parent, string $selector): string
    {
        $is = ":is($parent)";

        return implode(',', array_map(fn (string $one): string => match (true) {
            str_contains($one, '&') => str_replace('&', $is, $one),
            $one !== '' && in_array($one[0], ['>', '+', '~'], true) => "$is $one",
            default => "$is $one",
        }, CssValues::listed($selector)));
    }
}
