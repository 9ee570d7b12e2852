<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Brief\StarsWanted;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries rated within bounds, both included; those with no rating by a choice of its own. */
final readonly class Stars implements OfAlike
{
    public function __construct(private StarsWanted $wanted)
    {
    }

    public function key(): string
    {
        return 'stars';
    }

    public function phrase(): string
    {
        [$least, $most] = [$this->wanted->least(), $this->wanted->most()];
        [$from, $to] = [Numbers::spoken($least), Numbers::spoken($most)];
        $stars = match (true) {
            $least === 1.0 && $most === 5.0 => 'any stars',
            $least === $most => $from.($least === 1.0 ? ' star' : ' stars').' only',
            $most === 5.0 => "$from stars and up",
            $least === 1.0 => "$to stars and down",
            default => "$from to $to stars",
        };

        return $stars.($this->wanted->keepUnrated ? ' or unrated' : '');
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->stars === null
            ? $this->wanted->keepUnrated
            : $entry->stars >= $this->wanted->least() && $entry->stars <= $this->wanted->most();
    }

    public function reason(Facts $entry): string
    {
        return $entry->stars === null
            ? 'It has no rating, the brief wants '.$this->phrase().'.'
            : Numbers::plain($entry->stars).($entry->stars === 1.0 ? ' star' : ' stars').', the brief wants '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return new Condition('(CASE WHEN stars IS NULL THEN ? ELSE stars >= ? AND stars <= ? END)',
            [$this->wanted->keepUnrated ? 1 : 0, $this->wanted->least(), $this->wanted->most()]);
    }
}
