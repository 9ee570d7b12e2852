<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Css\CssValues;
use Gnomic\Dress\Page\Computed;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Entry\Html;
use Gnomic\Text\Address;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/** A part of a page with what is seen behind it. */
final readonly class Section
{
    /** Relative luminance below which white is told from it better than black. */
    private const DARK = 0.18;

    /**
     * @param  Colour  $ground  opaque; of a gradient the first, of a picture the darkest that its veil lets through
     * @param  Colour|null  $to  the other end of a gradient or of a picture
     * @param  string|null  $image  address of a picture behind it
     * @param  DOMElement  $painted  the element that its ground is of
     */
    private function __construct(
        public DOMElement $element,
        public Colour $ground,
        public ?Colour $to,
        public ?string $image,
        public Computed $style,
        public DOMElement $painted,
    ) {
    }

    public static function page(DOMElement $body, PageStyles $styles): self
    {
        $root = $body->parentNode instanceof DOMElement ? $styles->computed($body->parentNode) : null;
        $style = $styles->computed($body);
        // What the root or the body has spreads over the screen; else it is the browser's own.
        $canvas = CssColour::read('canvas', null, $root->isDark ?? $style->isDark) ?? Colour::hex('#fff');
        $behind = $root === null ? $canvas : $root->background->over($canvas);

        return self::painted($body, new self($body, $behind, null, null, $style, $body), $style);
    }

    /** @return self|null null where nothing else is painted behind it */
    public static function within(DOMElement $element, self $in, PageStyles $styles): ?self
    {
        $style = $styles->computed($element);
        $hasOwn = $style->background->alpha > 0.01 || $style->value('background-image') !== 'none';

        return ! $hasOwn || $style->value('display') === 'none' ? null : self::painted($element, $in, $style);
    }

    /**
     * With the colours of the picture behind it, where somebody can say them; its veil lies over them.
     *
     * @param  (Closure(string): (array{string, string}|null))|null  $extremes  as Matching::of()
     */
    public function lookedAt(?Closure $extremes): self
    {
        $found = $this->image === null || $extremes === null ? null : $extremes($this->image);
        if ($found === null || $this->to === null) {
            return $this;
        }
        // What the veil makes of black and of white, it makes of all between.
        $through = function (string $hex): Colour {
            $colour = Colour::hex($hex);
            $channel = fn (float $dark, float $light, float $of): float => $dark + ($light - $dark) * $of;
            [$from, $to] = [$this->ground, $this->to ?? $this->ground];

            return Colour::of(
                $channel($from->red, $to->red, $colour->red),
                $channel($from->green, $to->green, $colour->green),
                $channel($from->blue, $to->blue, $colour->blue),
            );
        };

        return new self($this->element, $through($found[0]), $through($found[1]), $this->image, $this->style, $this->painted);
    }

    /** Whether light words stand on it. */
    public function isDark(): bool
    {
        $isDark = $this->ground->luminance() < self::DARK;
        if ($this->to === null) {
            return $isDark;
        }

        return ($isDark && $this->to->luminance() < 2 * self::DARK) || $this->style->colour->luminance() > 0.5;
    }

    /** By its own heading, its identifier or class, or what it is. */
    public function name(): string
    {
        $element = $this->element;
        $tag = strtolower((string) $element->localName);
        if ($tag === 'body') {
            return 'the page itself';
        }
        foreach (['h1', 'h2', 'h3'] as $heading) {
            foreach (Html::elements($element, $heading) as $one) {
                $text = trim((string) preg_replace('/\s+/', ' ', $one->textContent));
                if ($text !== '') {
                    return '"'.mb_strimwidth($text, 0, 40, '…').'"';
                }
            }
        }
        $known = ['footer' => 'the foot', 'header' => 'the head', 'nav' => 'the navigation', 'aside' => 'the column beside'];
        $own = Words::filled($element->getAttribute('id')) ?? (Pieces::of($element->getAttribute('class'))[0] ?? '');

        return $known[$tag] ?? ($own === '' ? "a part ($tag)" : "the part \"$own\"");
    }

    /** A selector that finds it, from the body down. */
    public function path(): string
    {
        $steps = [];
        for ($at = $this->element; $at instanceof DOMElement && strtolower((string) $at->localName) !== 'html'; $at = $at->parentNode) {
            $tag = strtolower((string) $at->localName);
            if ($tag === 'body') {
                array_unshift($steps, 'body');
                break;
            }
            $place = 1;
            for ($other = $at->previousElementSibling; $other !== null; $other = $other->previousElementSibling) {
                $place++;
            }
            array_unshift($steps, "$tag:nth-child($place)");
        }

        return implode(' > ', $steps);
    }

    private static function painted(DOMElement $element, self $in, Computed $style): self
    {
        $ground = $style->background->over($in->ground);
        $to = $style->background->isOpaque() || $in->to === null ? null : $style->background->over($in->to);
        $image = $style->background->isOpaque() ? null : $in->image;
        $layers = CssValues::listed($style->value('background-image'));
        // The last layer lies deepest.
        foreach (array_reverse($layers) as $layer) {
            $call = CssValues::call($layer);
            if ($call === null || $layer === 'none') {
                continue;
            }
            if (str_ends_with($call[0], 'gradient')) {
                [$ground, $to] = self::gradient($call[1], $ground, $to, $style);
            } elseif ($call[0] === 'url' && ! str_contains($call[1], 'data:')) {
                // A picture may be of any colour, as long as nobody has looked at it.
                $image = self::address(trim($call[1], " \"'"), $style);
                [$ground, $to] = [Colour::hex('#000'), Colour::hex('#fff')];
            }
        }

        return new self($element, $ground, $to !== null && $to->toHex() === $ground->toHex() ? null : $to, $image, $style, $element);
    }

    /** What a style sheet names is found from where the sheet is; what the page names, from where the page is. */
    private static function address(string $named, Computed $style): string
    {
        $from = $style->winners['background-image']->address ?? '';

        return $from === '' ? $named : Address::resolved($named, $from);
    }

    /** @return array{Colour, Colour|null} */
    private static function gradient(string $inside, Colour $ground, ?Colour $to, Computed $style): array
    {
        $stops = [];
        foreach (CssValues::listed($inside) as $stop) {
            $colour = CssColour::read(CssValues::words($stop)[0] ?? '', $style->colour, $style->isDark);
            if ($colour !== null) {
                $stops[] = $colour;
            }
        }
        if ($stops === []) {
            return [$ground, $to];
        }
        $seen = [];
        foreach ($stops as $stop) {
            $seen[] = $stop->over($ground);
            if ($to !== null) {
                $seen[] = $stop->over($to);
            }
        }
        usort($seen, fn (Colour $one, Colour $two): int => $one->luminance() <=> $two->luminance());

        return [$seen[0], $seen[count($seen) - 1]];
    }
}
