<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Compositions\FaceComposition;
use Gnomic\Shape\Compositions\WordsComposition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Sides;
use Gnomic\Shape\Space;
use Gnomic\Text\Numbers;

/** One card at a time, set large, changing by itself or by hand. */
final readonly class OneAtATimeLayout extends Layout
{
    /** @param  int|null  $autoplay  seconds a card; null: it changes by hand */
    private function __construct(public ?int $autoplay, public bool $byChance, private Sides $sides)
    {
    }

    public static function name(): string
    {
        return 'one-at-a-time';
    }

    public static function label(): string
    {
        return 'One at a time';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return [
            'autoplay' => NumberSchema::wholeOrNull(2, 15, 5, 'Seconds a card; null: it changes by hand.'),
            'arrows' => Sides::setting(),
            'next' => ChoiceSchema::said(
                ['order' => 'the next in order', 'chance' => 'one drawn by chance'],
                'order',
                'What comes next.',
            ),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self(
            $settings->intOrNull('autoplay'),
            $settings->string('next') === 'chance',
            Sides::from($settings->string('arrows')),
        );
    }

    public function phrase(): string
    {
        return 'one at a time'.($this->byChance ? ', by chance' : '').(
            $this->autoplay === null ? '' : ', changing every '.Numbers::counted($this->autoplay, 'second')
        );
    }

    public function usualLines(): int
    {
        return 5;
    }

    public function seconds(): ?int
    {
        return $this->autoplay;
    }

    /** One voice after another: whose it is stands above what was said. */
    public function composed(string $composition): string
    {
        return $composition === WordsComposition::name() ? FaceComposition::name() : $composition;
    }

    public function scale(): TypeScale
    {
        return TypeScale::of(1.25, 1.5, 1.75);
    }

    public function size(): float
    {
        return 1.375;
    }

    /** The third highest: of the two above it, more is read on. */
    public function fit(array $heights): float
    {
        return $heights[max(0, count($heights) - 3)] ?? $heights[0];
    }

    public function parts(): array
    {
        return ['track', 'tool', 'turn', ...$this->sides->parts()];
    }

    public static function hasSlides(): bool
    {
        return true;
    }

    public function isMovedInside(): bool
    {
        return $this->sides !== Sides::Under;
    }

    public function controls(): array
    {
        return $this->sides !== Sides::Under ? [] : [...($this->autoplay === null ? [] : ['pause']), 'arrows', 'numbers'];
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return min(704.0, $this->sides->space($space)->inner);
    }

    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        return $heights === [] ? 0.0 : max($heights) + 1;
    }

    public function bar(Space $space): float
    {
        return $this->sides->bar($space, true);
    }

    public function rows(Arrangement $arrangement): int
    {
        return min(1, $arrangement->cards);
    }
}
