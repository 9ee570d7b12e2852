<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** Why entries that no clause stopped are shown, or wait. */
final readonly class Reasons
{
    /** @param  array<string, int>  $variety  of the balanced order, by Facts::key() */
    public function __construct(private Criteria $wanted, private SiteContext $site, private Ranking $ranking, private array $variety)
    {
    }

    /** @param  int  $place 1 for the first */
    public function shown(Facts $entry, int $place): string
    {
        return $entry->isAmong($this->wanted->pins)
            ? "You have pinned it; it is number $place."
            : "It meets every condition; it is number $place of ".Limit::phrase($this->wanted, $this->site).'.'.$this->balance($entry);
    }

    public function waits(Facts $entry): string
    {
        return 'It meets every condition, but comes after '.Limit::phrase($this->wanted, $this->site).'.'.$this->balance($entry);
    }

    private function balance(Facts $entry): string
    {
        return $this->wanted->order === Order::Balanced
            ? ' Its score: '.$this->ranking->balance->told($entry, $this->variety[$entry->key()] ?? null).'.'
            : '';
    }
}
