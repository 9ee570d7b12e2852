<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use DateTimeImmutable;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/** When it was said: within a time back from today, between two days, or since its subject reopened. */
final readonly class WhenWanted
{
    /**
     * @param  int|null  $last  how many of the unit, today being part of the first
     * @param  'days'|'months'  $unit
     * @param  string|null  $from  a day, "2026-03-01", included
     * @param  string|null  $to  a day, included
     */
    private function __construct(public ?int $last, public string $unit, public ?string $from, public ?string $to, public bool $sinceReopened)
    {
    }

    /** Null where it asks nothing. */
    public static function read(?Members $when): ?self
    {
        if ($when === null) {
            return null;
        }
        Fields::only($when, ['last', 'unit', 'from', 'to', 'sinceReopened']);
        $unit = $when->stringOrNull('unit') ?? 'days';
        if (! in_array($unit, ['days', 'months'], true)) {
            throw MemberIsWrong::at($when->to('unit'), '"days" or "months"', $unit);
        }
        $read = new self(Fields::within($when, 'last', 1, 10_000), $unit, self::day($when, 'from'), self::day($when, 'to'), $when->boolOr('sinceReopened', false));

        return $read->last === null && $read->from === null && $read->to === null && ! $read->sinceReopened ? null : $read;
    }

    /** The first day, where there is one; days the wrong way round are turned. */
    public function first(): ?string
    {
        return $this->from !== null && $this->to !== null ? min($this->from, $this->to) : $this->from;
    }

    public function lastDay(): ?string
    {
        return $this->from !== null && $this->to !== null ? max($this->from, $this->to) : $this->to;
    }

    /** Whether what it keeps is another every day. */
    public function moves(): bool
    {
        return $this->last !== null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['last' => $this->last, 'unit' => $this->unit, 'from' => $this->from, 'to' => $this->to, 'sinceReopened' => $this->sinceReopened];
    }

    private static function day(Members $when, string $name): ?string
    {
        $day = $when->stringOrNull($name);
        if ($day !== null) {
            $read = DateTimeImmutable::createFromFormat('!Y-m-d', $day);
            if ($read === false || $read->format('Y-m-d') !== $day) {
                throw MemberIsWrong::at($when->to($name), 'a day such as "2026-03-31"', $day);
            }
        }

        return $day;
    }
}
