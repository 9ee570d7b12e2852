<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\Schema;
use Gnomic\Text\Numbers;

/** Cards side by side: as many as there is room for at a wished width, or a fixed number for a class of widths. */
final readonly class Columns
{
    public const MOST = 12;

    /**
     * @param  int  $most  1 to 12, where there is room
     * @param  int  $card  the wished width of a card in CSS pixels: none is narrower while there are two of them
     * @param  array<string, int|null>  $fixed  by class of widths; null: by the wished width
     */
    public function __construct(public int $most, public int $card, private array $fixed = [])
    {
    }

    /** @return array<string, Schema> */
    public static function settings(int $most = 3, int $card = 280): array
    {
        $fixed = fn (): NumberSchema => NumberSchema::whole(1, self::MOST);

        return [
            'across' => NumberSchema::whole(1, self::MOST, $most, 'Cards side by side where there is room.'),
            'cardWidth' => NumberSchema::whole(80, 800, $card, 'Pixels that a card is wide at least.'),
            'fixed' => ObjectSchema::of(
                ['phone' => $fixed(), 'tablet' => $fixed(), 'desktop' => $fixed()],
                about: 'A fixed number instead; null: as many as fit.',
            ),
        ];
    }

    public static function read(Members $settings): self
    {
        $fixed = $settings->object('fixed');

        return new self((int) $settings->intOrNull('across'), (int) $settings->intOrNull('cardWidth'), [
            'phone' => $fixed->intOrNull('phone'),
            'tablet' => $fixed->intOrNull('tablet'),
            'desktop' => $fixed->intOrNull('desktop'),
        ]);
    }

    public function at(Space $space): int
    {
        return $this->fixedAt($space) ?? min($this->most, $space->columns($this->card));
    }

    /** Numbers are thought of for phones, not for less. */
    private function fixedAt(Space $space): ?int
    {
        return $space->isNarrow() ? null : ($this->fixed[$space->class->value] ?? null);
    }

    /** Why there are so many, for the owner: "3 across: 4 would make cards of 262, under your 280". */
    public function why(Space $space): string
    {
        $now = $this->at($space);
        if ($this->fixedAt($space) !== null) {
            return "$now across: the number set for {$space->class->value}s";
        }
        if ($now >= $this->most) {
            return "$now across: the most you allow";
        }
        $next = $now + 1;

        $width = max(0, (int) (($space->inner - $now * $space->gap) / $next));

        return "$now across: $next would make cards of $width, under your $this->card";
    }

    /** "three across". */
    public function phrase(): string
    {
        return Numbers::spoken($this->fixed['desktop'] ?? $this->most).' across';
    }
}
