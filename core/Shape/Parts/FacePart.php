<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Shape\Card\Face;

/** The picture of who said it, or initials. */
final readonly class FacePart extends Part
{
    private function __construct(public Face $face)
    {
    }

    public static function name(): string
    {
        return 'face';
    }

    public static function label(): string
    {
        return 'Portrait or initials';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $name = $context->entry->author->name;

        return $name === null ? null : new self(Face::of($name, $context->face));
    }

    public static function isOnEverything(): bool
    {
        return false;
    }

    public static function row(): Row
    {
        return Row::Face;
    }
}
