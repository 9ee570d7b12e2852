<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Allowed;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/** Entries of channels of which more than the figures may be shown. */
final readonly class AllowedByChannel extends Clause
{
    /** @param  list<string>  $figuresOnly channels */
    private function __construct(private array $figuresOnly, private SiteContext $site)
    {
    }

    public static function key(): string
    {
        return 'allowed';
    }

    public static function topic(): Topic
    {
        return new Topic('allowed', 'gather', 'What each channel allows', 'figures only, or words in full');
    }

    public static function columns(): array
    {
        return ['source'];
    }

    public static function members(): array
    {
        $one = ObjectSchema::of(['channel' => TextSchema::of(0, 100), 'show' => ChoiceSchema::case(Allowed::Everything)], ['channel']);

        return ['/gather/allowed' => ListSchema::of(
            $one,
            200,
            about: 'What may be shown of a channel\'s entries: everything (as where it is not named), the overall figures only, or '
                .'words only in full, never shortened. Of a channel that is named twice, the last counts.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/allowed' => [
            [['channel' => $site->channels[0], 'show' => 'figures']],
            [['channel' => $site->channels[0], 'show' => 'whole'], ['channel' => $site->channels[1] ?? 'not-there', 'show' => 'figures']],
        ]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $only = self::figuresOnly($wanted);

        return $only === [] ? null : new self($only, $site);
    }

    /** @return array<string, Allowed> by channel; everything where it is not named */
    public static function wanted(Criteria $wanted): array
    {
        $allowed = [];
        foreach ($wanted->part('gather')->list('allowed') as $one) {
            $members = Members::of($one);
            $allowed[$members->string('channel')] = Allowed::from($members->string('show'));
        }

        return $allowed;
    }

    /** @return list<string> channels */
    public static function figuresOnly(Criteria $wanted): array
    {
        return array_map(
            strval(...),
            array_keys(array_filter(self::wanted($wanted), fn (Allowed $one): bool => $one === Allowed::Figures)),
        );
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public static function called(): string
    {
        return 'what channels allow';
    }

    public function phrase(): string
    {
        return 'without the words of '.\Gnomic\Sift\SiteNames::listed($this->figuresOnly, 'channel', $this->site->names->channel(...));
    }

    public function keeps(Facts $entry): bool
    {
        return ! in_array($this->site->channelOf($entry->source), $this->figuresOnly, true);
    }

    public function reason(Facts $entry): string
    {
        return 'Of '.$this->site->names->channel($this->site->channelOf($entry->source)).', only the figures may be shown.';
    }

    public function condition(): Condition
    {
        return FromChannels::sourcesOf($this->figuresOnly, $this->site)->not();
    }
}
