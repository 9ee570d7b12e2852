<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** A row that moves slowly and can be stopped; it stands still where less motion is wished. */
final readonly class TickerLayout extends Layout
{
    /**
     * @param  int  $card  width of a card in CSS pixels
     * @param  int  $speed  CSS pixels a second
     */
    private function __construct(public int $card, public int $speed)
    {
    }

    public static function name(): string
    {
        return 'ticker';
    }

    public static function label(): string
    {
        return 'Slow ticker';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::Pictures, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return [
            'cardWidth' => NumberSchema::whole(120, 600, 280, 'Width of a card in pixels.'),
            'speed' => NumberSchema::whole(5, 80, 25, 'Pixels a second.'),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self((int) $settings->intOrNull('cardWidth'), (int) $settings->intOrNull('speed'));
    }

    public function phrase(): string
    {
        return 'in a slow ticker';
    }

    public function usualLines(): int
    {
        return 3;
    }

    public function style(int $cards, int $gap): array
    {
        return [
            'card' => ($this->card / 16).'em',
            'time' => max(10, intdiv($cards * ($this->card + $gap), $this->speed)).'s',
        ];
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return min((float) $this->card, $space->inner);
    }

    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        return $heights === [] ? 0.0 : max($heights) + 1;
    }

    public function repeats(): bool
    {
        return true;
    }

    public function controls(): array
    {
        return ['stop'];
    }

    public function rows(Arrangement $arrangement): int
    {
        return min(1, $arrangement->cards);
    }

    public function scale(): TypeScale
    {
        return TypeScale::even(TypeScale::USUAL);
    }
}
