<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Columns;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** Cards in rows and columns, all of a row equally high. */
final readonly class GridLayout extends Layout
{
    /** What happens to cards that do not fill the last row: they are left out, stand in the middle, or are stretched. */
    private const LAST = ['whole' => 'are left out', 'centred' => 'stand in the middle', 'stretched' => 'are stretched'];

    /** @param  int|null  $rows  as many cards as fit in so many rows; null: as many as there are */
    private function __construct(private Columns $columns, public string $last, private ?int $rows)
    {
    }

    public static function name(): string
    {
        return 'grid';
    }

    public static function label(): string
    {
        return 'Grid';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::Pictures];
    }

    public static function settings(): array
    {
        return Columns::settings() + [
            'last' => ChoiceSchema::said(
                self::LAST,
                'whole',
                'Cards that do not fill the last row.',
            ),
            'rows' => NumberSchema::whole(1, 20, about: 'As many cards as fit in so many rows; null: as many as there are.'),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self(Columns::read($settings), $settings->string('last'), $settings->intOrNull('rows'));
    }

    public function phrase(): string
    {
        return $this->columns->phrase().' in a grid';
    }

    public function usualLines(): int
    {
        return 4;
    }

    public function acrossAt(Space $space): int
    {
        return $this->columns->at($space);
    }

    public function why(Space $space): string
    {
        return $this->columns->why($space);
    }

    /** A row that cannot be filled at all stays. */
    public function cardsAt(Space $space, int $cards): int
    {
        $across = $this->acrossAt($space);
        $cards = $this->rows === null || $this->rows >= $cards ? $cards : min($cards, $this->rows * $across);

        return $this->last === 'whole' && $cards > $across ? $cards - $cards % $across : $cards;
    }

    public function parts(): array
    {
        return ['row'];
    }

    public function lastRow(): ?string
    {
        return $this->last === 'whole' ? null : $this->last;
    }
}
