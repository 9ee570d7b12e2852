<?php

declare(strict_types=1);

namespace App\Pictures;

use DomainException;

/** Bytes that are no picture we can keep. The message says why and what to do. */
final class PictureIsWrong extends DomainException
{
    public static function unreadable(): self
    {
        return new self('This is no picture that can be read. Give a JPEG, PNG, WebP or GIF.');
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self("The picture measures $width by $height pixels, more than can be taken. Make it smaller and give it again.");
    }
}
