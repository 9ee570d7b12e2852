<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** The overall rating alone, in a line of text or as a seal. */
final readonly class RatingLayout extends Layout
{
    /** Across, in em. */
    private const RING = 11.0;

    private function __construct(public bool $isSeal, public bool $opens)
    {
    }

    public static function name(): string
    {
        return 'rating';
    }

    public static function label(): string
    {
        return 'Overall rating';
    }

    public static function madeFor(): array
    {
        return [Purpose::Figure, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return [
            'form' => ChoiceSchema::said(
                ['line' => 'a line of text', 'seal' => 'a seal'],
                'line',
                'How the rating stands.',
            ),
            'opens' => new BooleanSchema(true, 'Whether a press opens everything.'),
        ];
    }

    public static function of(Members $settings): self
    {
        return new self($settings->string('form') === 'seal', $settings->boolOr('opens', true));
    }

    public function phrase(): string
    {
        return $this->isSeal ? 'as a seal with the overall rating' : 'as a line with the overall rating';
    }

    public static function flows(): bool
    {
        return false;
    }

    public function leadsToEverything(): bool
    {
        return $this->opens;
    }

    public static function most(): int
    {
        return 0;
    }

    public function cardsAt(Space $space, int $cards): int
    {
        return 0;
    }

    public function scale(): TypeScale
    {
        return TypeScale::even($this->size());
    }

    public function hasRoomForBars(): bool
    {
        return ! $this->isSeal;
    }

    public function parts(): array
    {
        return ['glyphs'];
    }

    public function ring(): ?float
    {
        return $this->isSeal ? self::RING : null;
    }
}
