<?php

declare(strict_types=1);

namespace App\Sources\Discovery;

use App\Models\Site;
use App\Sources\Channels\Channels;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Text\Words;

/** What was found page by page, each thing once and with the page that told it. */
final class Findings
{
    /** What has to be done besides ticking, by channel. */
    private const NEEDS = [
        'ticketwick' => 'your permission at Ticketwick',
        'shutterfen' => 'your permission at Shutterfen',
        'corkwall' => 'your token from Corkwall',
    ];

    /** @var array<string, array{name: string, kind: string, why: string}> */
    private array $subjects = [];

    /** @var array<string, array{channel: string, address: string, name: string, subject: string|null, why: string}> */
    private array $sources = [];

    /** @var list<string> */
    public array $problems = [];

    public function __construct(private readonly Channels $channels)
    {
    }

    /** @param  list<string>  $links */
    public function page(string $address, PageReading $page, array $links): void
    {
        $path = Words::filled((string) parse_url($address, PHP_URL_PATH)) ?? '/';
        foreach ($page->described as $described) {
            if (! Discover::isSubject($described)) {
                continue;
            }
            $this->subjects[$described->name] ??= ['name' => $described->name, 'kind' => $described->type, 'why' => "described on $path"];
            foreach ($described->sameAs as $same) {
                $this->address($same, $described->name, "linked from $path as the same");
            }
            if ($described->reviews > 0 || $described->figures !== null) {
                $this->add(
                    'page',
                    $address,
                    $described->name,
                    $described->name,
                    "$path marks up ".(
                        $described->reviews === 0
                            ? 'its overall figures'
                            : ($described->reviews === 1 ? 'one review of it' : "$described->reviews reviews of it")
                    ),
                );
            }
        }
        foreach ($page->feeds as $feed) {
            // One feed in several forms is one feed.
            $same = (string) preg_replace('~\.(?:rss|atom|json|xml|rdf)$|/(?:rss|atom|feed)/?$~i', '', $feed->address);
            $this->sources["feed $same"] ??= [
                'channel' => 'feed',
                'address' => $feed->address,
                'name' => $feed->title ?? 'Feed',
                'subject' => null,
                'why' => "linked from $path",
            ];
        }
        foreach ($links as $link) {
            $this->address($link, null, "$path links to it");
        }
    }

    /** @param  list<string>  $read */
    public function proposal(Site $site, array $read): ProposedSource
    {
        $connected = $site->sources()
            ->whereNull('disconnected_at')
            ->get()
            ->map(fn ($source): string => "$source->channel $source->address")
            ->all();
        $sources = array_map(fn (array $source): array => $source + [
            'channelName' => $this->channels->of($source['channel'])->name(),
            'needs' => self::NEEDS[$source['channel']] ?? null,
            'connected' => in_array("$source[channel] $source[address]", $connected, true),
        ], array_values($this->sources));

        return new ProposedSource(array_values($this->subjects), $sources, $read, array_slice($this->problems, 0, 10));
    }

    private function address(string $address, ?string $subject, string $why): void
    {
        $recognised = $this->channels->recognised($address);
        if ($recognised !== null) {
            $this->add(
                $recognised['channel'],
                $recognised['address'],
                ($subject ?? '').($subject === null ? $this->channels->of($recognised['channel'])->name() : ''),
                $subject,
                $why,
            );
        }
    }

    private function add(string $channel, string $address, string $name, ?string $subject, string $why): void
    {
        $key = "$channel $address".($channel === 'page' ? " $subject" : '');
        // Who says what it is of knows more than a bare link.
        if (! isset($this->sources[$key]) || ($this->sources[$key]['subject'] === null && $subject !== null)) {
            $this->sources[$key] = ['channel' => $channel, 'address' => $address, 'name' => $name, 'subject' => $subject, 'why' => $why];
        }
    }
}
