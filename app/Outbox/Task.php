<?php

declare(strict_types=1);

namespace App\Outbox;

use Gnomic\Json\Value;
use stdClass;

/** Something that may have made editions out of date. */
final readonly class Task
{
    /**
     * @param  bool  $all  whether every widget of the site is to be asked
     * @param  string|null  $day  that has begun at the site
     * @param  list<array{ref: string, before: array<string, mixed>|null}>  $entries  that changed
     * @param  int|null  $widget  identifier of the one that is to be rendered
     * @param  array<string, mixed>|null  $brief  that it is published by; null for the one that is out
     * @param  int|null  $pages  identifier of the widget whose pages of everything are to be made
     * @param  int  $rank  of Outbox; the least comes first
     */
    private function __construct(
        public int $id,
        public string $cause,
        public ?int $roundId,
        public int $tries,
        public bool $all,
        public ?string $day,
        public array $entries,
        public ?int $widget,
        public ?array $brief,
        public ?int $pages,
        public int $rank,
    ) {
    }

    public static function of(stdClass $row): self
    {
        $what = Value::members(json_decode(Value::text($row->what), true, 512, JSON_THROW_ON_ERROR));
        $entries = [];
        foreach (array_map(Value::members(...), Value::list($what['entries'] ?? null)) as $change) {
            $before = $change['before'] ?? null;
            $entries[] = ['ref' => Value::text($change['ref']), 'before' => $before === null ? null : Value::members($before)];
        }

        return new self(Value::whole($row->id), Value::text($row->cause), Value::wholeOrNull($row->round_id), Value::whole($row->tries),
            ($what['all'] ?? false) === true,
            is_string($what['day'] ?? null) ? $what['day'] : null,
            $entries,
            is_int($what['widget'] ?? null) ? $what['widget'] : null,
            isset($what['brief']) ? Value::members($what['brief']) : null,
            is_int($what['pages'] ?? null) ? $what['pages'] : null,
            Value::whole($row->rank));
    }
}
