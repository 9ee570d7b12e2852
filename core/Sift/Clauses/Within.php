<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use DateTimeImmutable;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;
use Gnomic\Text\Numbers;
use Gnomic\Text\Words;

/**
 * Entries of a certain time, by days at the site: the last 30 days are today and the 29 before it; the last two months go
 * back to the same day two months ago, or to the last of a month that is shorter. What is dated after today is not in the last
 * days, and undated entries are of no time.
 */
final readonly class Within extends Clause
{
    /**
     * @param  int|null  $last  how many of the unit, today being part of the first
     * @param  string  $unit  days or months
     * @param  string|null  $from  a day, "2026-03-01", included
     * @param  string|null  $to  a day, included
     */
    private function __construct(
        private ?int $last,
        private string $unit,
        private ?string $from,
        private ?string $to,
        private bool $sinceReopened,
        private SiteContext $site,
    ) {
    }

    public static function key(): string
    {
        return 'when';
    }

    public static function topic(): Topic
    {
        return new Topic('when', 'sift', 'Time', 'the last months, or between two days');
    }

    public static function columns(): array
    {
        return ['published', 'subject'];
    }

    public static function members(): array
    {
        return ['/sift/when' => ObjectSchema::orNull([
            'last' => NumberSchema::whole(1, 10_000, about: 'So many of the unit back from today, today included.'),
            'unit' => ChoiceSchema::among(['days', 'months'], 'days'),
            'from' => TextSchema::dayOrNull('A day, included.'),
            'to' => TextSchema::dayOrNull('A day, included.'),
            'sinceReopened' => new BooleanSchema(false, 'Only since the day on which the entry\'s subject reopened, where it has one.'),
        ], 'When it was said, by days at the site; null for any time. Undated entries are of no time.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/when' => [
            ['last' => 30],
            ['last' => 1, 'unit' => 'months'],
            ['from' => '2026-01-10'],
            ['from' => '2026-01-31', 'to' => '2026-01-02'],
            ['to' => '2026-01-15'],
            ['sinceReopened' => true],
        ]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $when = $wanted->part('sift')->objectOrNull('when');
        if ($when === null) {
            return null;
        }
        $read = new self(
            $when->intOrNull('last'),
            $when->string('unit'),
            $when->stringOrNull('from'),
            $when->stringOrNull('to'),
            $when->boolOr('sinceReopened', false),
            $site,
        );

        return $read->last === null && $read->from === null && $read->to === null && ! $read->sinceReopened ? null : $read;
    }

    /** Whether it asks when subjects reopened. */
    public static function asksReopened(Criteria $wanted): bool
    {
        return $wanted->part('sift')->object('when')->boolOr('sinceReopened', false);
    }

    public static function goesByTheDay(Criteria $wanted): bool
    {
        return $wanted->part('sift')->object('when')->intOrNull('last') !== null;
    }

    public static function called(): string
    {
        return 'the time';
    }

    public static function looser(Criteria $wanted): array
    {
        $when = $wanted->part('sift')->object('when');
        $last = $when->intOrNull('last');
        if ($last === null) {
            return [];
        }
        $days = $when->string('unit') === 'days' ? $last : $last * 30;
        $longer = array_filter([[30, 'days'], [90, 'days'], [6, 'months'], [12, 'months'], [24, 'months'], [60, 'months']],
            fn (array $one): bool => $days < $one[0] * ($one[1] === 'days' ? 1 : 30.4));
        $rest = [
            'from' => $when->stringOrNull('from'),
            'to' => $when->stringOrNull('to'),
            'sinceReopened' => $when->boolOr('sinceReopened', false),
        ];

        return array_values(array_map(
            fn (array $one): Criteria => $wanted->with('/sift/when', ['last' => $one[0], 'unit' => $one[1]] + $rest),
            $longer,
        ));
    }

    public static function doubts(Criteria $wanted): array
    {
        $when = $wanted->part('sift')->object('when');
        [$from, $to] = [$when->stringOrNull('from'), $when->stringOrNull('to')];

        return $from === null || $to === null || $from <= $to
            ? []
            : ["The days go from $from to $to, backwards. They are used the other way round."];
    }

    public function phrase(): string
    {
        return implode(', ', array_filter([
            $this->last === null
                ? null
                : 'of the last '.($this->last === 1 ? rtrim($this->unit, 's') : Numbers::spoken($this->last).' '.$this->unit),
            $this->between(),
            $this->sinceReopened ? 'since the subject reopened' : null,
        ], Words::isFilled(...)));
    }

    public function keeps(Facts $entry): bool
    {
        [$from, $before] = $this->bounds();

        return $entry->published !== null
            && $entry->published >= $from && $entry->published < $before
            && (! $this->sinceReopened || $entry->published >= ($this->site->reopened[(string) $entry->subject] ?? PHP_INT_MIN));
    }

    public function reason(Facts $entry): string
    {
        if ($entry->published === null) {
            return 'It has no date; the widget asks for those '.$this->phrase().'.';
        }
        $day = (new DateTimeImmutable('@'.(int) floor($entry->published)))->setTimezone($this->site->now->getTimezone())->format('j F Y');

        return "It is from $day; the widget asks for those ".$this->phrase().'.';
    }

    public function condition(): Condition
    {
        [$from, $before] = $this->bounds();
        $sql = 'published IS NOT NULL AND published >= ? AND published < ?';
        $bindings = [$from, $before];
        foreach ($this->sinceReopened ? $this->site->reopened : [] as $subject => $since) {
            $sql .= ' AND (subject IS NULL OR subject <> ? OR published >= ?)';
            array_push($bindings, (string) $subject, $since);
        }

        return new Condition("($sql)", $bindings);
    }

    /** @return array{int, int} seconds since 1970: the first that counts, and the first after that does not */
    private function bounds(): array
    {
        $zone = $this->site->now->getTimezone();
        $today = $this->site->now->setTime(0, 0);
        [$first, $lastDay] = $this->days();
        $from = PHP_INT_MIN;
        $before = PHP_INT_MAX;
        if ($this->last !== null) {
            $before = $this->site->midnight();
            $from = (
                $this->unit === 'days'
                    ? $today->modify('-'.($this->last - 1).' days')
                    : self::monthsBefore($today, $this->last)
            )->getTimestamp();
        }
        if ($first !== null) {
            $from = max($from, (new DateTimeImmutable($first, $zone))->getTimestamp());
        }
        if ($lastDay !== null) {
            $before = min($before, (new DateTimeImmutable($lastDay, $zone))->modify('+1 day')->getTimestamp());
        }

        return [$from, $before];
    }

    /** @return array{string|null, string|null} the first day and the last, where there are any; the wrong way round, they are turned */
    private function days(): array
    {
        return $this->from !== null && $this->to !== null
            ? [min($this->from, $this->to), max($this->from, $this->to)]
            : [$this->from, $this->to];
    }

    private static function monthsBefore(DateTimeImmutable $day, int $months): DateTimeImmutable
    {
        $month = $day->modify('first day of this month')->modify("-$months months");

        return $month->setDate(
            (int) $month->format('Y'),
            (int) $month->format('n'),
            min((int) $day->format('j'), (int) $month->format('t')),
        );
    }

    private function between(): ?string
    {
        $day = fn (string $day): string => (new DateTimeImmutable($day))->format('j F Y');
        [$from, $to] = $this->days();

        return match (true) {
            $from !== null && $to !== null => $from === $to ? 'of '.$day($from) : 'from '.$day($from).' to '.$day($to),
            $from !== null => 'since '.$day($from),
            $to !== null => 'until '.$day($to),
            default => null,
        };
    }
}
