<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use Closure;
use Gnomic\Text\Words;

/**
 * What the pages of a website tell of where people speak of it: subjects, and sources to connect, each once and with the page that told
 * it.
 */
final class SiteFindings
{
    /** What runs a site or sells is a subject; what only builds a page is none. */
    private const SUBJECTS = '/^(?:Organization|LocalBusiness|Place|Product|Service|Event|Course|Person|Museum|TouristAttraction'
        .'|.*(?:Business|Store|Attraction|Venue|Organization|Restaurant|Hotel))$/';

    /** @var array<string, array{name: string, kind: string, why: string}> */
    private array $subjects = [];

    /** @var array<string, array{channel: string, address: string, name: string, subject: string|null, why: string}> */
    private array $sources = [];

    /**
     * @param  Closure(string): (array{channel: string, address: string, name: string}|null)  $recognise  which channel an address is of,
     *     as that one writes it, and what the channel is called; null for any other address
     */
    public function __construct(private readonly Closure $recognise)
    {
    }

    public function add(string $address, PageReading $page): void
    {
        $path = Words::filled((string) parse_url($address, PHP_URL_PATH)) ?? '/';
        foreach ($page->described as $described) {
            if (preg_match(self::SUBJECTS, $described->type) !== 1) {
                continue;
            }
            $this->subjects[$described->name] ??= ['name' => $described->name, 'kind' => $described->type, 'why' => "described on $path"];
            foreach ($described->sameAs as $same) {
                $this->link($same, $described->name, "linked from $path as the same");
            }
            if ($described->reviews > 0 || $described->figures !== null) {
                $what = match ($described->reviews) {
                    0 => 'its overall figures',
                    1 => 'one review of it',
                    default => "$described->reviews reviews of it",
                };
                $this->source('page', $address, $described->name, $described->name, "$path marks up $what");
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
        foreach ($page->links as $link) {
            $this->link($link, null, "$path links to it");
        }
    }

    /** @return list<array{name: string, kind: string, why: string}> kind: as schema.org names it */
    public function subjects(): array
    {
        return array_values($this->subjects);
    }

    /** @return list<array{channel: string, address: string, name: string, subject: string|null, why: string}> */
    public function sources(): array
    {
        return array_values($this->sources);
    }

    private function link(string $address, ?string $subject, string $why): void
    {
        $known = ($this->recognise)($address);
        if ($known !== null) {
            $this->source($known['channel'], $known['address'], $subject ?? $known['name'], $subject, $why);
        }
    }

    private function source(string $channel, string $address, string $name, ?string $subject, string $why): void
    {
        $key = "$channel $address".($channel === 'page' ? " $subject" : '');
        // Who says what it is of knows more than a bare link.
        if (! isset($this->sources[$key]) || ($this->sources[$key]['subject'] === null && $subject !== null)) {
            $this->sources[$key] = ['channel' => $channel, 'address' => $address, 'name' => $name, 'subject' => $subject, 'why' => $why];
        }
    }
}
