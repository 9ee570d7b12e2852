<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;

/** What the balanced order weighs: parts of 0 to 1000 each, times their weights of 0 to 10. */
final readonly class Weights
{
    /** @param  int  $halfLife  days after which freshness has halved */
    public function __construct(
        public int $freshness = 3,
        public int $rating = 2,
        public int $substance = 2,
        public int $variety = 3,
        public int $halfLife = 180,
    ) {
    }

    public static function schema(): ObjectSchema
    {
        $usual = new self;

        return ObjectSchema::of([
            'freshness' => NumberSchema::whole(0, 10, $usual->freshness),
            'rating' => NumberSchema::whole(0, 10, $usual->rating),
            'substance' => NumberSchema::whole(0, 10, $usual->substance),
            'variety' => NumberSchema::whole(0, 10, $usual->variety),
            'halfLife' => NumberSchema::whole(1, 3650, $usual->halfLife, 'Days after which freshness has halved.'),
        ], about: 'What the balanced order weighs.');
    }

    public static function read(Members $weights): self
    {
        return new self(...array_map(
            fn (string $name): int => (int) $weights->intOrNull($name),
            ['freshness', 'rating', 'substance', 'variety', 'halfLife'],
        ));
    }
}
