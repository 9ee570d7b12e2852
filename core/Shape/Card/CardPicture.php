<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

/** A picture that belongs to an entry, or a video by its poster, as a card shows it. */
final readonly class CardPicture
{
    /**
     * @param  StoredPicture|null  $stored  null for a video without a poster
     * @param  string|null  $alt  as the source has it
     * @param  string|null  $video  address of the video; null for a picture
     * @param  int|null  $seconds  how long the video is
     */
    public function __construct(
        public ?StoredPicture $stored,
        public ?string $alt,
        public ?string $video = null,
        public ?int $seconds = null,
    ) {
    }

    /** "0:42"; null where it is not known. */
    public function length(): ?string
    {
        return $this->seconds === null ? null : intdiv($this->seconds, 60).sprintf(':%02d', $this->seconds % 60);
    }

    /** Width by height; null where it is not known. */
    public function ratio(): ?float
    {
        return $this->stored === null ? null : $this->stored->width / max(1, $this->stored->height);
    }
}
