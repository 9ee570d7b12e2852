<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries of the channels that the brief names. */
final readonly class FromChannels implements OfAlike
{
    /** @param  list<string>  $channels */
    public function __construct(private array $channels, private Circumstances $around)
    {
    }

    public function key(): string
    {
        return 'channels';
    }

    public function phrase(): string
    {
        return count($this->channels) > 2 ? 'from '.Numbers::counted(count($this->channels), 'channel')
            : ($this->channels === [] ? 'from no channel' : 'from '.Numbers::listed(array_map(ucfirst(...), $this->channels)));
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($this->around->channelOf($entry->source), $this->channels, true);
    }

    public function reason(Facts $entry): string
    {
        return 'It comes by '.ucfirst($this->around->channelOf($entry->source)).', which the brief does not name.';
    }

    public function condition(): Condition
    {
        return self::sourcesOf($this->channels, $this->around);
    }

    /**
     * The sources of some channels: those known to be theirs, and those that are their own channel.
     *
     * @param  list<string>  $channels
     */
    public static function sourcesOf(array $channels, Circumstances $around): Condition
    {
        $theirs = array_map(strval(...), array_keys(array_filter($around->channels, fn (string $channel): bool => in_array($channel, $channels, true))));
        $known = array_map(strval(...), array_keys($around->channels));

        return Condition::oneOf('source', [...$theirs, ...array_values(array_diff($channels, $known))]);
    }
}
