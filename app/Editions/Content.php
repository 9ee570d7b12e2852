<?php

declare(strict_types=1);

namespace App\Editions;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Kept;
use Gnomic\Shape\Plan;
use Gnomic\Sift\Circumstances;
use Gnomic\Standing\Overall;

/** What a brief chose, with all that it takes to show it. */
final readonly class Content
{
    /**
     * @param  list<Entry>  $shown  in their order
     * @param  array<string, string>  $saidAt  by the key of the source
     * @param  array<string, Kept>  $pictures  by their address at the source
     * @param  string|null  $note  under the widget, where it is a page of its own
     */
    public function __construct(
        public Brief $brief,
        public Circumstances $around,
        public array $shown,
        public Overall $overall,
        public DateTimeZone $zone,
        public array $saidAt = [],
        public array $pictures = [],
        public ?string $note = null,
    ) {
    }

    public function plan(): Plan
    {
        return Plan::of($this->brief, $this->around, $this->shown, $this->overall, $this->saidAt, $this->zone, $this->pictures);
    }
}
