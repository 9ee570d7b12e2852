<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

/** A picture as we keep and serve it, in several widths. */
final readonly class StoredPicture
{
    /**
     * @param  array<int, string>  $addresses  by width in pixels, the smallest first; at least one
     * @param  int  $width  of the largest, with its height: the proportions
     * @param  string|null  $colour  the one that it has most of, "#rgb"; null where it is not known
     */
    public function __construct(public array $addresses, public int $width, public int $height, public ?string $colour = null)
    {
    }

    /** The smallest that is at least so wide; else the largest. */
    public function at(int $width): string
    {
        foreach ($this->addresses as $has => $address) {
            if ($has >= $width) {
                return $address;
            }
        }

        return $this->addresses[array_key_last($this->addresses)] ?? '';
    }

    /** For the browser to choose from: "a-320.webp 320w, a-640.webp 640w"; null where there is one only. */
    public function set(): ?string
    {
        return count($this->addresses) < 2 ? null : implode(
            ', ',
            array_map(fn (string $address, int $width): string => "$address {$width}w", $this->addresses, array_keys($this->addresses)),
        );
    }
}
