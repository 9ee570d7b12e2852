<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** What became of one entry, and why. */
final readonly class Verdict
{
    /** @param  string  $step the step that let it in ("shown") or kept it out */
    public function __construct(
        public string $id,
        public string $source,
        public bool $shown,
        public string $step,
        public string $reason,
    ) {
    }
}
