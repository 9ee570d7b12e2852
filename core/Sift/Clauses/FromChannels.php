<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\SiteNames;
use Gnomic\Sift\Topic;

/** Entries of the channels that the brief names. */
final readonly class FromChannels extends Clause
{
    /** @param  list<string>  $channels keys */
    private function __construct(private array $channels, private SiteContext $site)
    {
    }

    public static function key(): string
    {
        return 'channels';
    }

    public static function topic(): Topic
    {
        return Topic::sources();
    }

    public static function columns(): array
    {
        return ['source'];
    }

    public static function members(): array
    {
        return ['/gather/channels' => ListSchema::orNull(TextSchema::of(1, 100), 50, about: 'Channels; null for all.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/channels' => $site->lists($site->channels)];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('gather')->has('channels') ? new self($wanted->part('gather')->strings('channels'), $site) : null;
    }

    public static function ofFigures(Criteria $wanted, SiteContext $site): ?self
    {
        return self::of($wanted, $site);
    }

    public static function called(): string
    {
        return 'the choice of channels';
    }

    public function phrase(): string
    {
        return 'at '.SiteNames::listed($this->channels, 'channel', $this->site->names->channel(...));
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($this->site->channelOf($entry->source), $this->channels, true);
    }

    public function reason(Facts $entry): string
    {
        return 'It comes from '.$this->site->names->channel($this->site->channelOf($entry->source)).', which is not chosen.';
    }

    public function condition(): Condition
    {
        return self::sourcesOf($this->channels, $this->site);
    }

    /**
     * The sources of some channels: those known to be theirs, and those that are their own channel.
     *
     * @param  list<string>  $channels
     */
    public static function sourcesOf(array $channels, SiteContext $site): Condition
    {
        $theirs = array_map(
            strval(...),
            array_keys(array_filter($site->channels, fn (string $channel): bool => in_array($channel, $channels, true))),
        );
        $known = array_map(strval(...), array_keys($site->channels));

        return Condition::oneOf('source', [...$theirs, ...array_values(array_diff($channels, $known))]);
    }
}
