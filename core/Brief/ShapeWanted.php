<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** The layout and what it shows. */
final readonly class ShapeWanted
{
    /** What a card can show. */
    public const CARD = ['rating', 'title', 'words', 'name', 'date', 'source', 'reply', 'face', 'pictures'];

    /** What the head of a widget can show. */
    public const HEAD = ['overall', 'count', 'spread'];

    /**
     * @param  int  $across  cards side by side where there is room, 1 to 5
     * @param  bool  $wholeRows  whether cards that would leave a row half empty are left out
     * @param  int|null  $autoplay  seconds a slide; null: it stands still
     * @param  int|null  $shorten  characters after which words are shortened; null: never
     * @param  list<string>  $card  of CARD
     * @param  NamesWanted  $names  how people are named
     * @param  list<string>  $head  of HEAD
     * @param  string|null  $heading  a line above everything
     * @param  bool  $honest  whether a selection says that it is one
     */
    public function __construct(
        public Layout $layout,
        public int $across,
        public bool $wholeRows,
        public ?int $autoplay,
        public ?int $shorten,
        public array $card,
        public NamesWanted $names,
        public array $head,
        public ?string $heading,
        public bool $honest,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'layout' => $this->layout->value,
            'across' => $this->across,
            'wholeRows' => $this->wholeRows,
            'autoplay' => $this->autoplay,
            'shorten' => $this->shorten,
            'card' => $this->card,
            'names' => $this->names->value,
            'head' => $this->head,
            'heading' => $this->heading,
            'honest' => $this->honest,
        ];
    }
}
