<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Page\Figures;
use Gnomic\Gather\Reading;

/** What a channel brought back. */
final readonly class Gathered
{
    /**
     * @param  Reading|null  $reading  null where the service says that nothing is new
     * @param  Figures|null  $figures  the service's own overall figures, where it tells them
     * @param  array{used: int, limit: int}|null  $quota  of the day, where the service tells it
     * @param  array<string, string|null>|null  $identity  of what is at an address that anybody may have taken over; null where a service
     *     answers for its own
     */
    public function __construct(
        public ?Reading $reading,
        public Coverage $coverage,
        public CacheValidators $validators = new CacheValidators,
        public ?Figures $figures = null,
        public ?array $quota = null,
        public ?array $identity = null,
    ) {
    }
}
