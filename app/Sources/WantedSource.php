<?php

declare(strict_types=1);

namespace App\Sources;

/** A connection that an owner asks for. */
final readonly class WantedSource
{
    /**
     * @param  string  $address  of the feed or page, or what stands for it at the service
     * @param  int|null  $grant  under which access was granted
     * @param  string|null  $subject  name of what it is about; null where nobody said
     * @param  string|null  $of  of a page that tells of several things, the one that is meant
     */
    public function __construct(
        public string $channel,
        public string $address,
        public string $name,
        public ?string $home,
        public ?int $grant,
        public ?string $subject,
        public ?string $of,
    ) {
    }
}
