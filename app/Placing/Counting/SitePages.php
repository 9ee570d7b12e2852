<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use Gnomic\Json\Value;
use Gnomic\Place\Check\AllowedHosts;
use Gnomic\Text\HostName;
use Illuminate\Support\Facades\DB;

/** Which pages are the site's: of those that Gnomic knows, all are told apart; of those that are only told of, a bounded number. */
final class SitePages
{
    /** @var array<string, true>|null by path */
    private ?array $known = null;

    private function __construct(private readonly int $site, private readonly string $own, private readonly AllowedHosts $allowed)
    {
    }

    /**
     * @param  string  $front  address of its front page
     * @param  list<string>  $allowed  other hosts on which its widgets show
     */
    public static function of(int $site, string $front, array $allowed): self
    {
        $parts = parse_url($front);
        $own = self::bare(HostName::ascii(($parts['host'] ?? '').(isset($parts['port']) ? ":{$parts['port']}" : '')));

        return new self($site, $own, AllowedHosts::of($allowed));
    }

    /**
     * Pages of the site's own are named by their path, those of hosts that it names by host and path; of others, only the host is kept.
     */
    public function name(string $host, string $path): string
    {
        if (self::bare($host) === $this->own) {
            return mb_strcut($path, 0, 300);
        }
        [$name, $port] = preg_match('/^(.*):(\d+)$/', $host, $found) === 1 ? [$found[1], (int) $found[2]] : [$host, null];

        return mb_strcut($this->allowed->allows($name, $port) ? $host.$path : $host, 0, 300);
    }

    /** @param  string  $page  as name gives it */
    public function isKnown(string $page): bool
    {
        if (! str_starts_with($page, '/')) {
            return false;
        }
        if ($this->known === null) {
            $this->known = [];
            foreach (DB::table('pages')->where('site_id', $this->site)->pluck('path') as $path) {
                $this->known[rawurldecode((string) strtok(Value::text($path), '?'))] = true;
            }
        }

        return isset($this->known[$page]) || isset($this->known[rawurldecode($page)]);
    }

    /** Whether it is a page of a host that the site names its own. */
    public function isOwn(string $page): bool
    {
        return str_contains($page, '/');
    }

    private static function bare(string $host): string
    {
        return str_starts_with($host, 'www.') ? substr($host, 4) : $host;
    }
}
