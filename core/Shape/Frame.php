<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;

/** How much room a widget takes and keeps free, in CSS pixels at the usual size of letters; it grows with a visitor's own. */
final readonly class Frame
{
    /** Kept free on either side where something is painted. */
    public const PADDING = 20;

    /**
     * @param  int  $padding  on either side, 0 to 80
     * @param  int  $gap  between cards, 0 to 80
     * @param  int|null  $most  how wide the cards become at most; null: as wide as the place is
     * @param  bool  $edge  whether the cards go from edge to edge
     */
    public function __construct(
        public int $padding = self::PADDING,
        public int $gap = 40,
        public ?int $most = null,
        public bool $edge = false,
    ) {
    }

    public static function schema(): ObjectSchema
    {
        return ObjectSchema::of([
            'padding' => NumberSchema::whole(0, 80, about: 'Pixels kept free on either side; null: none where nothing is painted.'),
            'gap' => NumberSchema::whole(0, 80, about: 'Pixels between cards; null: layout default.'),
            'most' => NumberSchema::whole(200, 2400, about: 'Pixels that it is wide at most; null: as wide as its place.'),
            'edge' => new BooleanSchema(false, 'Whether cards go from edge to edge of the place.'),
        ], about: 'The room that it takes and keeps free.');
    }

    /** @param  int  $gap  that is usual */
    public static function read(Members $frame, int $gap): self
    {
        return new self(
            $frame->intOrNull('padding') ?? self::PADDING,
            $frame->intOrNull('gap') ?? $gap,
            $frame->intOrNull('most'),
            $frame->boolOr('edge', false),
        );
    }

    /** Pixels kept free on either side of the cards. */
    public function side(): int
    {
        return $this->edge ? 0 : $this->padding;
    }
}
