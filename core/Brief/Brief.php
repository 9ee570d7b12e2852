<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Dress\Dress;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Shape\Shape;
use Gnomic\Shape\ShapeSchema;
use Gnomic\Sift\Criteria;

/** The whole setting of one widget. Its JSON form is brief.schema.json; BriefReader makes it from there. */
final readonly class Brief
{
    public const VERSION = 4;

    public function __construct(public Criteria $criteria, public Shape $shape, public Dress $dress)
    {
    }

    /** All that is usual. */
    public static function usual(): self
    {
        return new self(Criteria::read(), Shape::read(), Dress::read());
    }

    /** The same with some of its parts changed; null keeps what is there. */
    public function with(?Criteria $criteria = null, ?Shape $shape = null, ?Dress $dress = null): self
    {
        return new self($criteria ?? $this->criteria, $shape ?? $this->shape, $dress ?? $this->dress);
    }

    /** @return array<string, mixed> the JSON form, whole: every member written */
    public function toArray(): array
    {
        return ['version' => self::VERSION] + $this->criteria->toArray() + [
            'shape' => $this->shape->toArray(),
            'dress' => $this->dress->toArray(),
        ];
    }

    /** @return array<string, mixed> JSON Schema 2020-12, as it is published in brief.schema.json */
    public static function schema(): array
    {
        $whole = ObjectSchema::of(
            self::parts(),
            ['version'],
            'The whole setting of one widget. Members that are missing take their default.',
        )->toArray();

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://gnomic.example/brief.schema.json',
            'title' => 'Brief',
        ] + $whole;
    }

    /** @return array<string, \Gnomic\Json\Schema\Schema> */
    public static function parts(): array
    {
        return ['version' => NumberSchema::whole(
            self::VERSION,
            self::VERSION,
            about: 'Of the form; earlier ones are upgraded when they are read.',
            nullable: false,
        )]
            + Criteria::schemas() + ['shape' => ShapeSchema::get(), 'dress' => Dress::schema()];
    }
}
