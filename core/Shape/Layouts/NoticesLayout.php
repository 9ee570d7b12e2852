<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Inset;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;
use Gnomic\Text\Numbers;

/** One entry after another in a corner of the window, until a visitor dismisses them. */
final readonly class NoticesLayout extends Layout
{
    /**
     * @param  int  $after  seconds until the first
     * @param  int  $every  seconds that each stays
     */
    private function __construct(public string $corner, public int $after, public int $every, private Inset $inset)
    {
    }

    public static function name(): string
    {
        return 'notices';
    }

    public static function label(): string
    {
        return 'Corner notices';
    }

    public static function madeFor(): array
    {
        return [Purpose::OverThePage];
    }

    public static function settings(): array
    {
        return [
            'corner' => ChoiceSchema::said(
                ['left' => 'at the left', 'right' => 'at the right'],
                'left',
                'Corner, below.',
            ),
            'after' => NumberSchema::whole(0, 120, 4, 'Seconds until the first.'),
            'every' => NumberSchema::whole(3, 120, 10, 'Seconds that each stays.'),
        ] + Inset::settings();
    }

    public static function of(Members $settings): self
    {
        return new self(
            $settings->string('corner'),
            (int) $settings->intOrNull('after'),
            (int) $settings->intOrNull('every'),
            Inset::read($settings),
        );
    }

    public function phrase(): string
    {
        return 'in a corner, another every '.Numbers::counted($this->every, 'second');
    }

    public static function hasRoom(): bool
    {
        return false;
    }

    public static function grows(): bool
    {
        return false;
    }

    public static function flows(): bool
    {
        return false;
    }

    public function usualLines(): int
    {
        return 3;
    }

    /** Its own moves it as well. */
    public function behaviours(): array
    {
        return ['corner'];
    }

    public function style(int $cards, int $gap): array
    {
        return $this->inset->style();
    }

    public function seconds(): int
    {
        return $this->every;
    }

    public function scale(): TypeScale
    {
        return TypeScale::even(0.9375);
    }

    public function size(): float
    {
        return 0.9375;
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return 290.0;
    }

    public function ownHeight(): float
    {
        return 0.0;
    }

    public function parts(): array
    {
        return ['tool', 'over'];
    }
}
