<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Shape\Parts\Byline;
use Gnomic\Shape\Parts\Measure;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\WordsPart;

/** What stands together on a card: a part by itself, or a byline. */
final readonly class CardBlock
{
    public ?WordsPart $words;

    public ?Byline $byline;

    /** @param  non-empty-list<Part>  $parts */
    public function __construct(public array $parts)
    {
        $this->words = $parts[0] instanceof WordsPart ? $parts[0] : null;
        $this->byline = $parts[0]::row() === null ? null : new Byline($parts);
    }

    /** Whether it takes no more than is kept free for it. */
    public function isHeld(): bool
    {
        return $this->parts[0]::isHeld();
    }

    /**
     * What is kept free for such parts on cards that are equally high, in em; of words, what are not lines of theirs. Null: nothing.
     *
     * @param  non-empty-list<Part|class-string<Part>>  $parts
     */
    public static function kept(array $parts): ?float
    {
        return $parts[0]::row() === null ? $parts[0]::kept() : Byline::kept($parts);
    }

    /** In em. @param  int|null  $most  lines that words are clamped to */
    public function height(Measure $measure, float $width, ?int $most): float
    {
        return $this->words?->clamped($measure, $width, $most)
            ?? $this->byline?->height($measure, $width)
            ?? $this->parts[0]->height($measure, $width);
    }

    /** From which width within the card on it takes a line, or a line a row. */
    public function lineFrom(Measure $measure): float
    {
        return $this->byline === null ? $this->parts[0]->lineFrom($measure) : $this->byline->lineFrom($measure);
    }
}
