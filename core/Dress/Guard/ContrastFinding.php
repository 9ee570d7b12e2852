<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

/** Something that could not be told from what is behind it, and what became of it. */
final readonly class ContrastFinding
{
    /**
     * @param  'light'|'dark'  $scheme
     * @param  string  $token  of Palette::TOKENS
     * @param  float|null  $contrast  that it had at the worst point; null where what is behind was changed for others
     * @param  float|null  $least  that it needs
     * @param  string|null  $from  colour before @param  string|null  $to after; the same where it was refused
     * @param  float|null  $after  contrast after
     */
    public function __construct(
        public string $scheme,
        public string $token,
        public string $text,
        public ?float $contrast,
        public ?float $least,
        public ?string $from,
        public ?string $to,
        public ?float $after,
        public bool $isRefused,
    ) {
    }
}
