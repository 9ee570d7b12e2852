<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

/** One entry as it is shown: text only, nothing of it is markup. Null is not shown. */
final readonly class Card
{
    /**
     * @param  string  $ref  names it in addresses and in the page: of letters and figures
     * @param  list<list<string>>  $blocks  its parts in their order, those that stand together in one; none that is empty
     * @param  string|null  $rating  on its own scale, "9.2 of 10", or in words
     * @param  int|null  $twentieths  the rating in twentieths of a star, 20 to 100
     * @param  bool  $spoken  whether the rating is read, and not only seen as glyphs
     * @param  string|null  $words  shortened where there is more
     * @param  string|null  $rest  what is left out of the words; null where nothing is
     * @param  bool  $isCut  whether an ellipsis stands for the rest
     * @param  string|null  $when  "12 November 2026"
     * @param  string|null  $date  the same as RFC 3339
     * @param  string|null  $where  the source's name
     * @param  array{string, string}  $saidAt  what stands before and behind the source's name: "on "
     * @param  list<CardPicture>  $pictures  those that are kept; those that are not yet, or were lost, leave no gap
     * @param  list<string>  $labels
     * @param  string|null  $counts  "12 likes, 3 comments"
     * @param  string|null  $opens  where a click on it leads; null where it does nothing
     * @param  string  $called  for those who hear it: "Ines M., 9.2 of 10"
     * @param  bool  $isPicture  whether it is a picture and no more where entries are tiles, its words being in the enlarged view
     * @param  float|null  $likes  how often it was liked
     * @param  float|null  $stars  1 to 5
     */
    public function __construct(
        public string $id,
        public string $ref,
        public array $blocks,
        public ?string $rating,
        public ?int $twentieths,
        public bool $spoken,
        public ?string $title,
        public ?string $words,
        public ?string $rest,
        public bool $isCut,
        public ?string $language,
        public ?string $name,
        public ?string $role,
        public ?string $place,
        public ?string $when,
        public ?string $date,
        public ?string $where,
        public array $saidAt,
        public ?string $url,
        public ?string $reply,
        public ?Face $face,
        public array $pictures,
        public ?string $subject,
        public array $labels,
        public ?string $counts,
        public ?string $opens,
        public string $called,
        public bool $isPicture = false,
        public ?float $likes = null,
        public ?float $stars = null,
        public bool $isPinned = false,
    ) {
    }

    /** All that was said, in full. */
    public function whole(): string
    {
        return $this->words.$this->rest;
    }
}
