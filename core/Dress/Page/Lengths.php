<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\Calc;

/** Lengths in CSS pixels, as they are for one element (CSS Values and Units 4, 6). */
final readonly class Lengths
{
    /** Those that are measured by the font, or by what is not known before a page is laid out: about right. */
    public const GUESSED = '/\d(?:ch|ex|ic|cap|rlh|cqh|cqb|cqmin|cqmax)\b/i';

    /**
     * @param  float  $rootSize  of the letters of the page
     * @param  float|null  $line  of the element, or as long as that is not known of its parent; null: as the font has it
     */
    public function __construct(
        private Viewport $viewport,
        private float $rootSize = 16.0,
        private ?Computed $parent = null,
        private ?float $line = null,
    ) {
    }

    public function withLine(?float $line): self
    {
        return new self($this->viewport, $this->rootSize, $this->parent, $line);
    }

    /**
     * @param  float  $em  CSS pixels of an em
     * @param  float  $whole  of a hundred per cent
     * @return float|null CSS pixels; null where it is no length
     */
    public function pixels(string $value, float $em, float $whole): ?float
    {
        if (str_ends_with($value, 'px') && is_numeric($pixels = substr($value, 0, -2))) {
            return (float) $pixels;
        }
        $viewport = $this->viewport;

        return Calc::of($value, fn (string $word): ?float => preg_match(
            '/^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z%]*)$/iD',
            $word,
            $found,
        ) !== 1 ? null
            : match (strtolower($found[2])) {
                '' => $word === '0' || str_contains($value, '(') ? (float) $found[1] : ((float) $found[1] === 0.0 ? 0.0 : null),
                'px' => (float) $found[1],
                'em' => (float) $found[1] * $em,
                'rem' => (float) $found[1] * $this->rootSize,
                '%' => (float) $found[1] / 100 * $whole,
                'pt' => (float) $found[1] * 4 / 3,
                'pc' => (float) $found[1] * 16,
                'in' => (float) $found[1] * 96,
                'cm' => (float) $found[1] * 96 / 2.54,
                'mm' => (float) $found[1] * 9.6 / 2.54,
                'ch', 'ex' => (float) $found[1] * $em * 0.5,
                'lh' => (float) $found[1] * ($this->line ?? $em * 1.2),
                'rlh' => (float) $found[1] * $this->rootSize * 1.2,
                'vw', 'dvw', 'svw', 'lvw', 'vi' => (float) $found[1] * $viewport->width / 100,
                'cqw', 'cqi' => (float) $found[1] * $this->container() / 100,
                'vh', 'dvh', 'svh', 'lvh', 'vb' => (float) $found[1] * $viewport->height / 100,
                'vmin' => (float) $found[1] * min($viewport->width, $viewport->height) / 100,
                'vmax' => (float) $found[1] * max($viewport->width, $viewport->height) / 100,
                default => null,
            });
    }

    /** Width of the nearest container, or of the screen. */
    private function container(): float
    {
        for ($at = $this->parent; $at !== null; $at = $at->parent) {
            if (in_array($at->value('container-type'), ['size', 'inline-size'], true)) {
                return $at->width;
            }
        }

        return (float) $this->viewport->width;
    }
}
