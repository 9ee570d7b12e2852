<?php

declare(strict_types=1);

namespace App\Pictures;

use DomainException;
use Gnomic\Failure;

/** Bytes that are no picture we can keep. The message says why and what to do. */
final class PictureIsWrong extends DomainException implements Failure
{
    public static function unreadable(): self
    {
        return new self('This picture cannot be read. Use a JPEG, PNG, WebP or GIF.');
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self("The picture measures $width by $height pixels, which is too large. Make it smaller and try again.");
    }

    public function about(): array
    {
        return [];
    }
}
