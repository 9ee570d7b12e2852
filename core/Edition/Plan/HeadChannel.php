<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/** The figures of one outside service, beside those of all together. */
final readonly class HeadChannel
{
    /**
     * @param  string  $name  "Wayleaf"
     * @param  string|null  $url  its own page; null where it has none, or where several of its pages are meant
     * @param  string  $figure  "4.6"
     * @param  int  $twentieths  the same in twentieths of a star
     * @param  string  $base  "from 98 ratings"
     * @param  Sign|null  $sign  what is seen in the place of the name
     */
    public function __construct(
        public string $name,
        public ?string $url,
        public string $figure,
        public int $twentieths,
        public string $base,
        public ?Sign $sign = null,
    ) {
    }
}
