<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/**
 * Of entries told at several places, one. Always part of the sieve, and always of the brief's own sources: where the one
 * that would speak comes from a source that the brief leaves out, the next one speaks.
 */
final readonly class CountedOnce extends Clause
{
    /** @param  list<string>|null  $sources of which one may speak for others; null for all */
    private function __construct(private ?array $sources)
    {
    }

    public static function key(): string
    {
        return 'once';
    }

    public static function topic(): Topic
    {
        return Topic::sources();
    }

    public static function columns(): array
    {
        return ['duplicate_of'];
    }

    public static function of(Criteria $wanted, SiteContext $site): self
    {
        return new self(self::speaking($wanted, $site, AllowedByChannel::figuresOnly($wanted)));
    }

    /** A channel of which only the figures are shown speaks in the figures. */
    public static function ofFigures(Criteria $wanted, SiteContext $site): self
    {
        return new self(self::speaking($wanted, $site, []));
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public function phrase(): string
    {
        return 'counted once';
    }

    public function keeps(Facts $entry): bool
    {
        return $this->sources === null ? $entry->duplicateOf === [] : array_intersect($entry->duplicateOf, $this->sources) === [];
    }

    public function reason(Facts $entry): string
    {
        return 'It also appears elsewhere; only one of the two is shown.';
    }

    /** The column holds the sources between bars, "|the-dome|gazette|", and NULL for most. */
    public function condition(): Condition
    {
        if ($this->sources === null || $this->sources === []) {
            return new Condition($this->sources === null ? '(duplicate_of IS NULL)' : '(1)');
        }
        $any = implode(' OR ', array_fill(0, count($this->sources), 'INSTR(duplicate_of, ?) > 0'));

        return new Condition(
            "(duplicate_of IS NULL OR NOT ($any))",
            array_map(fn (string $source): string => "|$source|", $this->sources),
        );
    }

    /**
     * The sources of which one may speak for entries that tell the same; null for all.
     *
     * @param  list<string>  $silent  channels that are not shown
     * @return list<string>|null
     */
    private static function speaking(Criteria $wanted, SiteContext $site, array $silent): ?array
    {
        $gather = $wanted->part('gather');
        $sources = $gather->has('sources') ? $gather->strings('sources') : null;
        $channels = $gather->has('channels') ? $gather->strings('channels') : null;
        if ($channels === null && $silent === []) {
            return $sources;
        }
        $sources ??= $site->channels === [] ? $channels : array_map(strval(...), array_keys($site->channels));

        return $sources === null
            ? null
            : array_values(array_filter($sources, fn (string $source): bool => ! in_array($site->channelOf($source), $silent, true)
            && ($channels === null || in_array($site->channelOf($source), $channels, true))));
    }
}
