<?php

declare(strict_types=1);

namespace Gnomic\Edition;

/** One entry as it is shown: text only, nothing of it is markup. Null is not shown. */
final readonly class Card
{
    /**
     * @param  string|null  $rating  on its own scale, "9.2 of 10"
     * @param  int|null  $halves  the rating in half stars, 2 to 10
     * @param  string|null  $words  shortened where there is more
     * @param  string|null  $whole  the whole words; null where $words are
     * @param  string|null  $when  "12 November 2026"
     * @param  string|null  $date  the same as RFC 3339
     * @param  string|null  $where  the source's name
     * @param  array{string, string}  $saidAt  what stands before and behind the source's name: "on "
     * @param  list<CardPicture>  $pictures  those that are kept; those that are not yet, or were lost, leave no gap
     */
    public function __construct(
        public string $id,
        public ?string $rating,
        public ?int $halves,
        public ?string $title,
        public ?string $words,
        public ?string $whole,
        public ?string $language,
        public ?string $name,
        public ?string $when,
        public ?string $date,
        public ?string $where,
        public array $saidAt,
        public ?string $url,
        public ?string $reply,
        public ?Face $face,
        public array $pictures,
    ) {
    }
}
