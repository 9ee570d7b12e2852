<?php

declare(strict_types=1);

namespace Gnomic\Place\Count;

/** How often what was done with a widget. */
final readonly class Counts
{
    public const KINDS = ['shown', 'views', 'openings', 'reads', 'clicks', 'engaged'];

    /**
     * @param  int  $shown  pages on which it came into being
     * @param  int  $views  half of it was seen for a second
     * @param  int  $openings  of an entry enlarged, of a panel, of everything
     * @param  int  $reads  of what a card had cut off
     * @param  int  $clicks  to a source
     * @param  int  $engaged  pages on which any of the last three happened
     */
    public function __construct(
        public int $shown = 0,
        public int $views = 0,
        public int $openings = 0,
        public int $reads = 0,
        public int $clicks = 0,
        public int $engaged = 0,
    ) {
    }

    public function plus(self $other): self
    {
        return new self(
            $this->shown + $other->shown,
            $this->views + $other->views,
            $this->openings + $other->openings,
            $this->reads + $other->reads,
            $this->clicks + $other->clicks,
            $this->engaged + $other->engaged,
        );
    }

    /** @return array<string, int> by kind */
    public function toArray(): array
    {
        return ['shown' => $this->shown, 'views' => $this->views, 'openings' => $this->openings, 'reads' => $this->reads,
            'clicks' => $this->clicks, 'engaged' => $this->engaged];
    }
}
