<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\Members;

/** At most so many from one author, and then from one source. */
final readonly class MostWanted
{
    public function __construct(public ?int $author, public ?int $source)
    {
    }

    /** Null where it asks nothing. */
    public static function read(?Members $most): ?self
    {
        if ($most === null) {
            return null;
        }
        Fields::only($most, ['author', 'source']);
        $read = new self(Fields::within($most, 'author', 1, 100), Fields::within($most, 'source', 1, 100));

        return $read->author === null && $read->source === null ? null : $read;
    }

    /** @return array<string, int|null> */
    public function toArray(): array
    {
        return ['author' => $this->author, 'source' => $this->source];
    }
}
