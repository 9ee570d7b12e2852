<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Colour\Colour;

/** What a browser would compute for an element, of all that a look is read from. Lengths in CSS pixels. */
final readonly class Computed
{
    /**
     * @param  array<string, string>  $values  of other properties, as texts
     * @param  array<string, float>  $lengths  borders that are drawn, corners, paddings, gaps
     * @param  array<string, Declaration>  $winners  what decided each property, where a style sheet did
     * @param  Variables  $variables  custom properties
     * @param  float  $width  of its content @param  bool  $isWidthSure  whether that is known without laying the page out
     * @param  list<string>  $unsure  properties that rules set which were not understood
     * @param  self|null  $parent  null of the root
     */
    public function __construct(
        public Colour $colour,
        public Colour $background,
        public string $family,
        public float $size,
        public int $weight,
        public ?float $leading,
        public bool $isDark,
        public array $values,
        public array $lengths,
        public array $winners,
        public Variables $variables,
        public float $width = 0.0,
        public bool $isWidthSure = false,
        public array $unsure = [],
        public ?self $parent = null,
    ) {
    }

    public function value(string $property): string
    {
        return $this->values[$property] ?? '';
    }

    /** CSS pixels; 0 where there is nothing. */
    public function length(string $property): float
    {
        return $this->lengths[$property] ?? 0.0;
    }

    public function radius(): float
    {
        return $this->length('border-top-left-radius');
    }

    public function borderColour(): ?Colour
    {
        return $this->length('border-top-width') > 0 ? Colour::tryHex($this->value('border-top-color')) : null;
    }
}
