<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Columns;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Sides;
use Gnomic\Shape\Space;
use Gnomic\Text\Numbers;

/** Cards side by side in a track that is moved through. */
final readonly class CarouselLayout extends Layout
{
    private const PEEK = 32;

    private const CONTROLS = ['arrows' => 'arrows', 'dots' => 'a dot a page', 'numbers' => '"1 of 3"'];

    /**
     * @param  list<'arrows'|'dots'|'numbers'>  $controls
     * @param  bool  $byCard  whether it moves by one card; by as many as are seen else
     * @param  int|null  $autoplay  seconds a slide; null: it stands still
     * @param  Sides  $sides  where arrows stand
     * @param  bool  $peeks  whether the next card is seen at the edge, where one stands by itself
     */
    private function __construct(
        private Columns $columns,
        public int $rows,
        public bool $wholeRows,
        public array $controls,
        private Sides $sides,
        public bool $byCard,
        public ?int $autoplay,
        public bool $peeks,
    ) {
    }

    public static function name(): string
    {
        return 'carousel';
    }

    public static function label(): string
    {
        return 'Carousel';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::Pictures];
    }

    public static function settings(): array
    {
        return Columns::settings() + [
            'rows' => NumberSchema::whole(1, 2, 1, 'Rows of cards.'),
            'wholeRows' => new BooleanSchema(false, 'Whether cards that would leave the last page half empty are left out.'),
            'controls' => ListSchema::of(
                ChoiceSchema::said(self::CONTROLS),
                distinct: true,
                default: ['arrows', 'numbers'],
                about: 'What it is moved by, beside swiping and keys.',
            ),
            'arrows' => Sides::setting(),
            'by' => ChoiceSchema::said(
                ['page' => 'a page of cards', 'card' => 'one card'],
                'page',
                'How far one press moves it.',
            ),
            'autoplay' => NumberSchema::whole(2, 15, about: 'Seconds a slide; null: it stands still.'),
            'peek' => new BooleanSchema(true, 'Whether the next card is seen at the edge, where one stands by itself.'),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self(
            Columns::read($settings),
            (int) $settings->intOrNull('rows'),
            $settings->boolOr('wholeRows', false),
            array_values(array_intersect(array_keys(self::CONTROLS), $settings->strings('controls'))),
            self::placed($settings),
            $settings->string('by') === 'card',
            $settings->intOrNull('autoplay'),
            $settings->boolOr('peek', true),
        );
    }

    /** Without arrows, nothing stands at the sides. */
    private static function placed(Members $settings): Sides
    {
        return in_array('arrows', $settings->strings('controls'), true) ? Sides::from($settings->string('arrows')) : Sides::Under;
    }

    public function phrase(): string
    {
        return $this->columns->phrase().($this->rows === 2 ? ' in a carousel of two rows' : ' in a carousel').(
            $this->autoplay === null
                ? ''
                : ', moving every '.Numbers::counted($this->autoplay, 'second')
        );
    }

    public function usualLines(): int
    {
        return 4;
    }

    public function seconds(): ?int
    {
        return $this->autoplay;
    }

    public function acrossAt(Space $space): int
    {
        return $this->columns->at($this->sides->space($space));
    }

    public function why(Space $space): string
    {
        return $this->columns->why($this->sides->space($space));
    }

    /** A page that cannot be filled at all stays. */
    public function cardsAt(Space $space, int $cards): int
    {
        $page = $this->acrossAt($space) * $this->rows;

        return match (true) {
            $this->wholeRows && $cards > $page => $cards - $cards % $page,
            $this->rows === 2 && $cards > 2 => $cards - $cards % 2,
            default => $cards,
        };
    }

    public function columnsAt(Space $space, int $cards): int
    {
        return parent::columnsAt($space, (int) ceil($cards / $this->rows));
    }

    public function parts(): array
    {
        return ['track', 'tool', 'turn', ...$this->sides->parts()];
    }

    public function behaviours(): array
    {
        return [...parent::behaviours(), ...(in_array('dots', $this->controls, true) ? ['dots'] : [])];
    }

    public function style(int $cards, int $gap): array
    {
        return $this->rows === 1 ? [] : ['rows' => implode(' ', array_fill(0, $this->rows, 'auto'))];
    }

    public function keepsTogether(int $columns): bool
    {
        return $columns === 1;
    }

    public function peek(int $columns, int $cards, Space $space): int
    {
        return $this->peeks && $columns === 1 && $cards > $this->rows && ! $space->isNarrow() ? self::PEEK + $space->gap : 0;
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return $this->sides->space($space)->column($columns) - $this->peek($columns, $cards, $space);
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
        return $this->sides !== Sides::Under ? [] : [...($this->autoplay === null ? [] : ['pause']), ...$this->controls];
    }

    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        $rows = [];
        foreach ($heights as $place => $height) {
            $rows[$place % $this->rows] = max($rows[$place % $this->rows] ?? 0.0, $height);
        }

        return $rows === [] ? 0.0 : array_sum($rows) + 1;
    }

    public function bar(Space $space): float
    {
        return $this->sides->bar($space, $this->autoplay !== null || array_diff($this->controls, ['arrows']) !== []);
    }

    public function rows(Arrangement $arrangement): int
    {
        return min($this->rows, $arrangement->cards);
    }
}
