<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use DateTimeImmutable;
use Gnomic\Brief\Numbers;
use Gnomic\Brief\WhenWanted;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;

/**
 * Entries of a certain time, by days at the site: the last 30 days are today and the 29 before it; the last two months go
 * back to the same day two months ago, or to the last of a month that is shorter. Undated entries are of no time.
 */
final readonly class Within implements Clause
{
    public function __construct(private WhenWanted $wanted, private Circumstances $around)
    {
    }

    public function key(): string
    {
        return 'when';
    }

    public function phrase(): string
    {
        $parts = array_filter([
            $this->wanted->last === null ? null : 'of the last '.($this->wanted->last === 1 ? rtrim($this->wanted->unit, 's') : Numbers::spoken($this->wanted->last).' '.$this->wanted->unit),
            $this->between(),
            $this->wanted->sinceReopened ? 'since the subject reopened' : null,
        ]);

        return implode(', ', $parts);
    }

    public function keeps(Facts $entry): bool
    {
        [$from, $before] = $this->bounds();

        return $entry->published !== null
            && $entry->published >= $from && $entry->published < $before
            && (! $this->wanted->sinceReopened || $entry->published >= ($this->around->reopened[(string) $entry->subject] ?? PHP_INT_MIN));
    }

    public function reason(Facts $entry): string
    {
        if ($entry->published === null) {
            return 'It has no date, the brief wants those '.$this->phrase().'.';
        }
        $day = (new DateTimeImmutable("@$entry->published"))->setTimezone($this->around->now->getTimezone())->format('j F Y');

        return "It is of $day, the brief wants those ".$this->phrase().'.';
    }

    public function condition(): Condition
    {
        [$from, $before] = $this->bounds();
        $sql = 'published IS NOT NULL AND published >= ? AND published < ?';
        $bindings = [$from, $before];
        foreach ($this->wanted->sinceReopened ? $this->around->reopened : [] as $subject => $since) {
            $sql .= ' AND (subject IS NULL OR subject <> ? OR published >= ?)';
            array_push($bindings, (string) $subject, $since);
        }

        return new Condition("($sql)", $bindings);
    }

    /** @return array{int, int} seconds since 1970: the first that counts, and the first after that does not */
    private function bounds(): array
    {
        $zone = $this->around->now->getTimezone();
        $today = $this->around->now->setTime(0, 0);
        $from = PHP_INT_MIN;
        $before = PHP_INT_MAX;
        if ($this->wanted->last !== null) {
            $from = ($this->wanted->unit === 'days' ? $today->modify('-'.($this->wanted->last - 1).' days') : self::monthsBefore($today, $this->wanted->last))->getTimestamp();
        }
        if ($this->wanted->first() !== null) {
            $from = max($from, (new DateTimeImmutable($this->wanted->first(), $zone))->getTimestamp());
        }
        if ($this->wanted->lastDay() !== null) {
            $before = (new DateTimeImmutable($this->wanted->lastDay(), $zone))->modify('+1 day')->getTimestamp();
        }

        return [$from, $before];
    }

    private static function monthsBefore(DateTimeImmutable $day, int $months): DateTimeImmutable
    {
        $month = $day->modify('first day of this month')->modify("-$months months");

        return $month->setDate((int) $month->format('Y'), (int) $month->format('n'), min((int) $day->format('j'), (int) $month->format('t')));
    }

    private function between(): ?string
    {
        $day = fn (string $day): string => (new DateTimeImmutable($day))->format('j F Y');
        [$from, $to] = [$this->wanted->first(), $this->wanted->lastDay()];

        return match (true) {
            $from !== null && $to !== null => $from === $to ? 'of '.$day($from) : 'from '.$day($from).' to '.$day($to),
            $from !== null => 'since '.$day($from),
            $to !== null => 'until '.$day($to),
            default => null,
        };
    }
}
