<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use Gnomic\Gather\Page\Robots;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** What a website asks of programs, as it says so now (RFC 9309, §2.3.1). */
final readonly class SiteRobots
{
    private const AGENT = 'Gnomic';

    public function __construct(private Fetcher $fetcher)
    {
    }

    /** @param  string  $page  any address of the website */
    public function at(string $page): Robots
    {
        try {
            $answer = $this->fetcher->within(10)->get(Address::resolved('/robots.txt', $page));

            return $answer->status >= 500 ? Robots::unreachable() : Robots::read($answer->isOk() ? $answer->body : '', self::AGENT);
        } catch (FetchFailed) {
            return Robots::unreachable();
        }
    }

    /** Whether a page may be asked for, of the host that the rules are of. */
    public static function lets(Robots $robots, string $page): bool
    {
        $query = parse_url($page, PHP_URL_QUERY);

        return $robots->allows((Words::filled((string) parse_url($page, PHP_URL_PATH)) ?? '/').(is_string($query) ? "?$query" : ''));
    }
}
