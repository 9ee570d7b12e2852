<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/**
 * Entries whose words are neither too short nor too long, in characters as readers count them; bounds the wrong way round mean the same.
 */
final readonly class Length extends Clause
{
    /** Of a bound. */
    private const MOST = 100_000;

    private function __construct(private ?int $from, private ?int $to)
    {
    }

    public static function key(): string
    {
        return 'length';
    }

    public static function topic(): Topic
    {
        return WithTerms::topic();
    }

    public static function columns(): array
    {
        return ['length'];
    }

    public static function members(): array
    {
        return ['/sift/length' => ObjectSchema::orNull([
            'from' => NumberSchema::whole(0, self::MOST),
            'to' => NumberSchema::whole(0, self::MOST),
        ],
            'Characters of the words, both bounds included; null for any.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/length' => [['from' => 10], ['to' => 40], ['from' => 60, 'to' => 20]]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return self::wanted($wanted);
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::wanted($wanted) === null ? null : Flattery::ByWords;
    }

    public static function called(): string
    {
        return 'the length';
    }

    public static function looser(Criteria $wanted): array
    {
        $length = self::wanted($wanted);
        if ($length === null) {
            return [];
        }
        [$least, $most] = [$length->least(), $length->most()];
        $looser = [];
        for ($times = 2; $times <= 4096 && ($least >= $times || ($most !== null && $most * $times < self::MOST)); $times *= 2) {
            $looser[] = $wanted->with(
                '/sift/length',
                ['from' => intdiv($least, $times), 'to' => $most === null ? null : min(self::MOST, $most * $times)],
            );
        }

        return $looser;
    }

    public static function doubts(Criteria $wanted): array
    {
        $length = self::wanted($wanted);

        return $length === null || $length->to === null || ($length->from ?? 0) <= $length->to ? []
            : ["The length goes from $length->from to $length->to characters. It is used the other way round."];
    }

    public function phrase(): string
    {
        [$least, $most] = [number_format($this->least()), $this->most() === null ? null : number_format($this->most())];

        return match (true) {
            $most === null => "at least $least characters long",
            $this->least() === 0 => "at most $most characters long",
            default => "$least to $most characters long",
        };
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->length >= $this->least() && $entry->length <= ($this->most() ?? PHP_INT_MAX);
    }

    public function reason(Facts $entry): string
    {
        return 'Its text is '.number_format($entry->length).' character'.(
            $entry->length === 1
                ? ''
                : 's'
        ).' long; the widget asks for '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return new Condition('(length >= ? AND length <= ?)', [$this->least(), $this->most() ?? PHP_INT_MAX]);
    }

    private static function wanted(Criteria $wanted): ?self
    {
        $length = $wanted->part('sift')->objectOrNull('length');
        $read = $length === null ? null : new self($length->intOrNull('from'), $length->intOrNull('to'));

        return $read?->from === null && $read?->to === null ? null : $read;
    }

    private function least(): int
    {
        return $this->to === null ? ($this->from ?? 0) : min($this->from ?? 0, $this->to);
    }

    private function most(): ?int
    {
        return $this->to === null ? null : max($this->from ?? 0, $this->to);
    }
}
