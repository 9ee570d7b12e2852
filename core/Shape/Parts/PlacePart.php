<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** Where the author lives, or comes from. */
final readonly class PlacePart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'place';
    }

    public static function label(): string
    {
        return 'Place';
    }

    public static function of(PartContext $context): ?self
    {
        $place = $context->entry->author->place;

        return $place === null ? null : new self($place);
    }

    public static function row(): Row
    {
        return Row::Of;
    }

    public function text(): string
    {
        return $this->text;
    }
}
