<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Memo;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\Paragraphs;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Shape;

/** Cards whose words are measured once, for all that rests on their heights; and not before something asks. */
final readonly class CardHeights
{
    private Memo $memo;

    private Paragraphs $paragraphs;

    /** @param  list<Card>  $cards */
    public function __construct(private array $cards, private Shape $shape, Font $font, private ?CardBox $box = null)
    {
        $this->memo = new Memo;
        $this->paragraphs = Paragraphs::in($font);
    }

    /**
     * @param  bool  $areTiles  whether those of words stand among pictures
     * @return list<CardHeight> of each card, its words in sizes of a scale
     */
    public function of(TypeScale $scale, bool $areTiles = false): array
    {
        return $this->memo->of($scale->key().($areTiles ? ' tiles' : ''), function () use ($scale, $areTiles): array {
            $box = $areTiles ? ($this->box ?? CardBox::usual())->tile() : $this->box;

            return array_map(
                fn (Card $card): CardHeight => CardHeight::of($card, $this->shape, $this->paragraphs, $scale, $box),
                $this->cards,
            );
        });
    }
}
