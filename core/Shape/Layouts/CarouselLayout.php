<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Layout;
use Gnomic\Text\Numbers;

/** Cards side by side in a track that is moved through. */
final readonly class CarouselLayout extends Layout
{
    /** @param  int|null  $autoplay  seconds a slide; null: it stands still */
    private function __construct(private int $across, public bool $wholeRows, public ?int $autoplay)
    {
    }

    public static function name(): string
    {
        return 'carousel';
    }

    public static function label(): string
    {
        return 'Carousel';
    }

    public static function settings(): array
    {
        return [
            'across' => NumberSchema::whole(1, 5, 3, 'Cards side by side where there is room.'),
            'wholeRows' => new BooleanSchema(false, 'Whether cards that would leave a row half empty are left out.'),
            'autoplay' => NumberSchema::whole(2, 60, about: 'Seconds a slide; null: it stands still.'),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self((int) $settings->intOrNull('across'), $settings->boolOr('wholeRows', false), $settings->intOrNull('autoplay'));
    }

    public function phrase(): string
    {
        return Numbers::spoken($this->across).' across in a carousel'.(
            $this->autoplay === null
                ? ''
                : ', moving every '.Numbers::counted($this->autoplay, 'second')
        );
    }

    public function across(): int
    {
        return $this->across;
    }

    /** A row that cannot be filled at all stays. */
    public function cardsAt(int $width, int $cards): int
    {
        $inRow = $this->acrossAt($width);

        return $this->wholeRows && $cards > $inRow ? $cards - $cards % $inRow : $cards;
    }
}
