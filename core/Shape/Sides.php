<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\Schema;
use Gnomic\Shape\Parts\Metrics;

/** Where the arrows of a track stand: in the bar under it, beside it, or laid over its sides. */
enum Sides: string
{
    case Under = 'under';
    case Beside = 'beside';
    case Over = 'over';

    /** CSS pixels of all cards together, from which there is room for arrows at the sides. */
    public const FROM = 480;

    /** CSS pixels that an arrow beside the track takes, with the air before the cards. */
    private const TAKEN = 56;

    /** Em of the bar under the track. */
    private const BAR = 3.5;

    public static function setting(): Schema
    {
        return ChoiceSchema::said(
            ['under' => 'under the cards', 'beside' => 'beside the cards', 'over' => 'over the sides of the cards'],
            'under',
            'Where its arrows stand.',
        );
    }

    /** What is left for the cards. */
    public function space(Space $space): Space
    {
        return $this === self::Beside && $space->width >= self::FROM ? $space->without(2 * self::TAKEN) : $space;
    }

    /** CSS pixels under the cards. @param  bool  $hasMore  whether something stands there beside the arrows */
    public function bar(Space $space, bool $hasMore): float
    {
        return $this !== self::Under && ($hasMore || $space->width < self::FROM) ? self::BAR * Metrics::EM : 0.0;
    }

    /** @return list<string> parts of the style sheet */
    public function parts(): array
    {
        return $this === self::Under ? [] : ['sides/bar', "sides/$this->value"];
    }
}
