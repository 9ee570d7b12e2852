<?php

declare(strict_types=1);

namespace Gnomic\Edition\Advice;

use Gnomic\Dress\Looks;
use Gnomic\Sift\Facts;

/** What a site has of all that a brief names. */
final readonly class KnownOfSite
{
    /**
     * @param  non-empty-list<string>  $spoken  languages that are spoken to visitors, the usual one first
     * @param  list<string>  $widgets  keys of those whose entries the brief leaves out
     * @param  array<string, Facts>  $pinned  entries by identifier
     * @param  string|null  $missingPicture  why the picture behind everything is not there; null where it is, or none is wanted
     */
    public function __construct(
        public array $spoken,
        public Looks $looks,
        public array $widgets = [],
        public array $pinned = [],
        public ?string $missingPicture = null,
    ) {
    }
}
