<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;

/** At most so many from one author, and then from one source; null for as many as there are. */
final readonly class Most
{
    public function __construct(public ?int $author, public ?int $source)
    {
    }

    public static function schema(): ObjectSchema
    {
        return ObjectSchema::orNull(['author' => NumberSchema::whole(1, 100), 'source' => NumberSchema::whole(1, 100)],
            'At most so many from one author, then from one source, the first in the order; null for any.');
    }

    public static function read(Members $most): self
    {
        return new self($most->intOrNull('author'), $most->intOrNull('source'));
    }

    public function asksNothing(): bool
    {
        return $this->author === null && $this->source === null;
    }

    /** @return array<string, int|null> */
    public function toArray(): array
    {
        return ['author' => $this->author, 'source' => $this->source];
    }
}
