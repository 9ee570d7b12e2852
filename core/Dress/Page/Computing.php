<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Css\Calc;
use Gnomic\Dress\Css\CssValues;

/** From declared values to computed ones, for one element. */
final class Computing
{
    private const SAFE_AREA = '/env\(\s*safe-area-inset-[a-z]+\s*(?:,[^()]*)?\)/i';

    /** Properties whose values stay texts. */
    private const TEXTS = ['background-image', 'box-shadow', 'display', 'font-style', 'text-decoration-line', 'text-decoration-style',
        'text-decoration-thickness', 'text-transform', 'opacity', 'color-scheme', 'container-type', 'container-name',
        'grid-template-columns', 'flex-direction', 'align-items', 'float', 'border-bottom-style'];

    /** @var array<string, string> by property */
    private array $values;

    /** @var array<string, Declaration> */
    private array $winners = [];

    private Variables $variables;

    /** @var array<string, string> values before the layer that is read */
    private array $before = [];

    /** @var array<string, true> properties that are not known for certain */
    private array $unsure = [];

    private Lengths $lengths;

    private float $size = 16.0;

    private Colour $colour;

    private bool $isDark = false;

    /**
     * @param  float  $rootSize  of the letters of the page
     * @param  array<string, string>  $registered
     * @param  array<string, bool>  $alone
     */
    public function __construct(
        private readonly DOMElement $element,
        private readonly ?Computed $parent,
        float $rootSize,
        private readonly Viewport $viewport,
        private readonly array $registered,
        private readonly array $alone,
    ) {
        $this->values = BrowserSheet::of($element);
        $this->colour = Colour::hex('#000');
        $this->lengths = new Lengths($viewport, $rootSize, $parent, $parent?->leading);
    }

    public function of(Cascaded $cascaded): Computed
    {
        $this->unsure = array_fill_keys(array_filter(
            $this->parent->unsure ?? [],
            fn (string $name): bool => str_starts_with($name, '--') && ! isset($this->alone[$name]),
        ), true);
        foreach ($cascaded->unsure as $name) {
            $this->doubt($name);
        }
        $own = $this->own($cascaded);
        // What sets none has those of its parent.
        $above = $this->parent?->variables;
        $this->variables = $own === [] && $above !== null && $this->alone === []
            ? $above : new Variables($own, $above, $this->alone, $this->registered);
        foreach ($cascaded->groups as $group) {
            // What "revert-layer" goes back to.
            $this->before = $this->values;
            foreach ($group as $declaration) {
                if (! str_starts_with($declaration->name, '--')) {
                    $this->take($declaration);
                }
            }
        }

        return $this->computed();
    }

    /** @return array<string, string> custom properties that are set on the element */
    private function own(Cascaded $cascaded): array
    {
        $own = [];
        foreach ($cascaded->groups as $group) {
            $before = $own;
            foreach ($group as $declaration) {
                $name = $declaration->name;
                if (! str_starts_with($name, '--')) {
                    continue;
                }
                $word = strtolower($declaration->value);
                $isBack = in_array($word, ['inherit', 'unset', 'revert', 'revert-layer'], true);
                if (! $isBack) {
                    $own[$name] = $declaration->value;
                } elseif ($word === 'revert-layer' && isset($before[$name])) {
                    $own[$name] = $before[$name];
                } else {
                    unset($own[$name]);
                }
            }
        }

        return $own;
    }

    /** That a property is not known for certain. */
    private function doubt(string $name): void
    {
        $this->unsure[$name] = true;
        if (! str_starts_with($name, '--')) {
            $this->unsure += array_fill_keys(array_keys(Shorthands::of($name, '') ?? []), true);
        }
    }

    private function take(Declaration $declaration): void
    {
        // What a screen keeps free around itself is nothing on a desk.
        if (stripos($declaration->value, 'env(') !== false) {
            $declaration = $declaration->saying((string) preg_replace(self::SAFE_AREA, '0px', $declaration->value));
        }
        $isVariable = stripos($declaration->value, 'var(') !== false;
        $value = $isVariable ? $this->variables->in($declaration->value) : $declaration->value;
        foreach ($isVariable ? array_keys($this->unsure) : [] as $name) {
            if (str_starts_with($name, '--') && str_contains($declaration->value, $name)) {
                $this->doubt($declaration->name);
            }
        }
        if ($declaration->name === 'all') {
            $this->all(strtolower(trim((string) $value)));

            return;
        }
        foreach (DeclaredValues::of($declaration->name, $value === null ? null : trim($value), $isVariable) as $name => $one) {
            if ($one === null || $one[0] === '?') {
                // A function that is not known here may say something all the same.
                $this->doubt($name);
                $one = $one === null ? null : substr($one, 1);
            }
            if ($one !== null) {
                $this->values[$name] = $one === 'revert-layer' ? $this->before[$name] ?? 'unset' : $one;
                $this->winners[$name] = $declaration;
            }
        }
    }

    private function all(string $value): void
    {
        if (in_array($value, ['initial', 'unset', 'inherit'], true)) {
            $this->values = array_fill_keys([...array_keys(BrowserSheet::INHERITED), ...array_keys(BrowserSheet::INITIAL)], $value);
        } elseif (in_array($value, ['revert', 'revert-layer'], true)) {
            $this->values = BrowserSheet::of($this->element);
        }
        $this->winners = [];
    }

    private function computed(): Computed
    {
        $scheme = strtolower($this->specified('color-scheme'));
        $this->isDark = str_contains($scheme, 'dark') && (! str_contains($scheme, 'light') || $this->viewport->isDark);
        $this->size = $this->fontSize();
        $this->colour = $this->textColour();
        $values = [];
        foreach (self::TEXTS as $name) {
            $values[$name] = $this->specified($name);
        }
        $leading = $this->specified('line-height');
        $pixels = $this->leading();
        $this->lengths = $this->lengths->withLine($pixels);
        // A number is taken over as one, a length as what it comes to.
        $values['line-height'] = is_numeric($leading) ? $leading : (string) self::number($leading);
        $lengths = [];
        foreach (Shorthands::SIDES as $side) {
            $isDrawn = ! in_array(strtolower($this->specified("border-$side-style")), ['none', 'hidden'], true);
            $lengths["border-$side-width"] = $isDrawn ? $this->lengthOf("border-$side-width") : 0.0;
            $lengths["padding-$side"] = $this->lengthOf("padding-$side");
            $named = $this->specified("border-$side-color");
            $colour = strtolower($named) === 'currentcolor' ? null : CssColour::read($named, $this->colour, $this->isDark);
            $values["border-$side-color"] = ($colour ?? $this->colour)->toHex();
        }
        foreach (Shorthands::CORNERS as $corner) {
            $lengths["border-$corner-radius"] = $this->lengthOf("border-$corner-radius");
        }
        foreach (['row-gap', 'column-gap'] as $gap) {
            $lengths[$gap] = $this->lengthOf($gap);
        }

        $lengths['margin-left'] = $this->lengthOf('margin-left');
        $spacing = $this->specified('letter-spacing');
        $lengths['letter-spacing'] = $this->lengths->pixels($spacing, $this->size, $this->size) ?? 0.0;
        $box = BoxWidth::of(
            $this->parent,
            $this->viewport,
            $this->specified(...),
            fn (string $length, float $whole): ?float => $this->lengths->pixels($length, $this->size, $whole),
            $lengths['padding-left'] + $lengths['padding-right'] + $lengths['border-left-width'] + $lengths['border-right-width'],
        );
        foreach ($this->winners as $name => $winner) {
            if (preg_match(Lengths::GUESSED, $this->values[$name] ?? '') === 1) {
                $this->doubt($name);
            }
        }

        return new Computed(
            $this->colour,
            CssColour::read($this->specified('background-color'), $this->colour, $this->isDark) ?? Colour::of(0, 0, 0, 0),
            self::families($this->specified('font-family')),
            $this->size,
            $this->weight(),
            $pixels,
            $this->isDark,
            $values,
            $lengths,
            $this->winners,
            $this->variables,
            $box->pixels,
            $box->isSure,
            array_keys($this->unsure),
            $this->parent,
        );
    }

    /** What holds, keywords that any property may have put in their place; of what is inherited, the parent's computed value. */
    private function specified(string $name): string
    {
        $value = $this->values[$name] ?? 'unset';
        $isInherited = isset(BrowserSheet::INHERITED[$name]);
        $word = strtolower($value);
        if ($word === 'revert' || $word === 'revert-layer') {
            $value = BrowserSheet::of($this->element)[$name] ?? 'unset';
            $word = strtolower($value);
        }
        if ($word === 'inherit' || ($word === 'unset' && $isInherited)) {
            return $this->parent === null ? $this->initial($name) : $this->ofParent($name);
        }

        return $word === 'initial' || $word === 'unset' ? $this->initial($name) : $value;
    }

    private function initial(string $name): string
    {
        return BrowserSheet::INHERITED[$name] ?? BrowserSheet::INITIAL[$name] ?? '';
    }

    private function ofParent(string $name): string
    {
        $parent = $this->parent;

        return $parent === null ? $this->initial($name) : match ($name) {
            'color' => $parent->colour->toHex(),
            'background-color' => $parent->background->toHex(),
            'font-family' => $parent->family,
            'font-size' => "{$parent->size}px",
            'font-weight' => (string) $parent->weight,
            'line-height' => $parent->value('line-height') === '' ? (
                $parent->leading === null ? 'normal' : "{$parent->leading}px"
            ) : $parent->value('line-height'),
            default => isset($parent->lengths[$name]) ? "{$parent->lengths[$name]}px" : $parent->value($name),
        };
    }

    private function textColour(): Colour
    {
        $above = $this->parent->colour ?? Colour::hex('#000');
        $value = $this->specified('color');
        // The root's own text has the colour of the scheme.
        $colour = CssColour::read($value, $above, $this->isDark) ?? $above;

        return $this->parent === null
            || ! isset($this->values['color'])
            && $this->isDark !== $this->parent->isDark
            && ! isset($this->winners['color'])
            && $above->toHex() === CssColour::read('canvastext', null, $this->parent->isDark)?->toHex()
            ? (CssColour::read($this->parent === null ? $value : 'canvastext', null, $this->isDark) ?? $colour) : $colour;
    }

    private function fontSize(): float
    {
        $above = $this->parent->size ?? 16.0;
        $value = strtolower($this->specified('font-size'));

        return max(0.0, match (true) {
            isset(DeclaredValues::SIZES[$value]) => DeclaredValues::SIZES[$value],
            $value === 'smaller' => $above / 1.2,
            $value === 'larger' => $above * 1.2,
            default => $this->lengths->pixels($value, $above, $above) ?? $above,
        });
    }

    private function weight(): int
    {
        $above = $this->parent->weight ?? 400;
        $value = strtolower($this->specified('font-weight'));

        return match ($value) {
            'normal' => 400,
            'bold' => 700,
            'bolder' => $above < 350 ? 400 : ($above < 550 ? 700 : 900),
            'lighter' => $above < 550 ? 100 : ($above < 750 ? 400 : 700),
            default => max(1, min(1000, (int) $value)),
        };
    }

    /** As browsers write families down: in quotation marks where a name is more than one word. */
    private static function families(string $value): string
    {
        return implode(', ', array_map(function (string $family): string {
            $bare = trim((string) preg_replace('/\s+/', ' ', trim($family, " \t\n\"'")));

            return preg_match('/^-?[a-z_][\w-]*$/iD', $bare) === 1 ? $bare : "\"$bare\"";
        }, array_filter(CssValues::listed($value), fn (string $family): bool => $family !== '')));
    }

    /** A sum of mere numbers; null where it is none. */
    private static function number(string $value): ?float
    {
        return ! str_contains($value, '(') ? null
            : Calc::of($value, fn (string $word): ?float => is_numeric($word) ? (float) $word : null);
    }

    /** CSS pixels; null: as the font has it. */
    private function leading(): ?float
    {
        $value = strtolower($this->specified('line-height'));

        return match (true) {
            $value === 'normal' => null,
            is_numeric($value) => (float) $value * $this->size,
            self::number($value) !== null => self::number($value) * $this->size,
            default => $this->lengths->pixels($value, $this->size, $this->size),
        };
    }

    private function lengthOf(string $name): float
    {
        $value = strtolower(CssValues::words($this->specified($name))[0] ?? '');
        $value = ['thin' => '1px', 'medium' => '3px', 'thick' => '5px', 'normal' => '0px'][$value] ?? $value;
        // A share of the box is not known before it is laid out; corners beyond half of it are round.
        $whole = str_ends_with($name, '-radius') ? 100.0 : $this->parent->width ?? (float) $this->viewport->width;

        return max(0.0, $this->lengths->pixels($value, $this->size, $whole) ?? 0.0);
    }
}
