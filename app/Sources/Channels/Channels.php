<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Entries\Sift\SaidOfChannels;
use App\Models\Site;
use App\Sources\Channels\Corkwall\CorkwallChannel;
use App\Sources\Channels\Feed\FeedChannel;
use App\Sources\Channels\Page\PageChannel;
use App\Sources\Channels\Shutterfen\ShutterfenChannel;
use App\Sources\Channels\Ticketwick\TicketwickChannel;
use App\Sources\Channels\Wayleaf\WayleafChannel;
use Gnomic\Entry\Kind;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Text\Address;
use InvalidArgumentException;

/** The channels by their keys. */
final readonly class Channels
{
    /** @var array<string, Channel> */
    private array $channels;

    public function __construct(
        FeedChannel $feed,
        PageChannel $page,
        WayleafChannel $wayleaf,
        TicketwickChannel $ticketwick,
        ShutterfenChannel $shutterfen,
        CorkwallChannel $corkwall,
    ) {
        $this->channels = [
            'wayleaf' => $wayleaf,
            'ticketwick' => $ticketwick,
            'shutterfen' => $shutterfen,
            'corkwall' => $corkwall,
            'page' => $page,
            'feed' => $feed,
            'table' => new HandedOver('Spreadsheet', 'past entries', null),
            'hand' => new HandedOver('By hand', 'testimonials', null),
        ];
    }

    /** @return array<string, Channel> by key, those that know their own addresses first */
    public function all(): array
    {
        return $this->channels;
    }

    /** @return array<string, string> by key */
    public function names(): array
    {
        return array_map(fn (Channel $channel): string => $channel->name(), $this->channels);
    }

    /** What sentences tell of them. */
    public function said(): SaidOfChannels
    {
        return new SaidOfChannels($this->names(), array_map(fn (Channel $channel): ?Kind => $channel->kind(), $this->channels));
    }

    /** @return array<string, string> names of the channels on which a subject can have an address, by key */
    public function withAddresses(): array
    {
        $asked = array_filter($this->channels, fn (Channel $channel): bool => $channel->isAsked());

        return array_map(fn (Channel $channel): string => $channel->name(), $asked);
    }

    /** @return array<string, SourcePage> where the entries of each source were said, by its key */
    public function pages(Site $site): array
    {
        $pages = [];
        foreach ($site->sources()->get() as $source) {
            $channel = $this->of($source->channel);
            $url = Address::webOrNull($channel->pageOf($source), null);
            $pages[$source->key] = new SourcePage($channel->saidAt($source), $url, $channel->takesReviews(), $source->sign);
        }

        return $pages;
    }

    public function of(string $key): Channel
    {
        return $this->channels[$key] ?? throw new InvalidArgumentException("There is no channel \"$key\".");
    }

    /** @return array{channel: string, address: string}|null whose address it is, and what stands for it there */
    public function recognised(string $address): ?array
    {
        foreach ($this->channels as $key => $channel) {
            $found = $channel->recognised($address);
            if ($found !== null) {
                return ['channel' => $key, 'address' => $found];
            }
        }

        return null;
    }
}
