<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Dress\NameTones;
use Gnomic\Shape\Naming;

/** The picture of who said it; initials on a tone of the look where there is none, or where it was lost. */
final readonly class Face
{
    /** @param  int  $tone  of NameTones: the same for the same name */
    private function __construct(public ?string $address, public string $initials, public int $tone)
    {
    }

    public static function of(?string $name, ?StoredPicture $picture): self
    {
        return new self($picture?->at(96), Naming::face($name), crc32((string) $name) % NameTones::COUNT);
    }
}
