<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

/** A token of a proposal with what it rests on. */
final readonly class Evidence
{
    /**
     * @param  string  $token  "light.ink", "tokens.corner"
     * @param  string  $from  of what element it was read, in words
     * @param  string  $said  "--brand in site.css, line 12; used by 14 rules"
     * @param  bool  $isSure  whether the page says it itself; else it was derived
     */
    public function __construct(
        public string $token,
        public string|int $value,
        public string $from,
        public string $said,
        public bool $isSure,
    ) {
    }
}
