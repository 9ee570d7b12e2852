<?php

declare(strict_types=1);

namespace App\Placing\Owner;

use App\Models\Site;

/** Signed fragments by which an owner's own pages show links to the bench: for a site, for some hours, and for nothing but looking. */
final readonly class OwnerLinks
{
    private const HOURS = 12;

    /** @param  string  $secret  of the instance */
    public function __construct(private string $secret)
    {
    }

    /** @param  string  $page  address of a page of the site @param  int  $now  seconds since 1970 */
    public function to(Site $site, string $page, int $now): string
    {
        $told = "$site->id.".($now + self::HOURS * 3600);

        return preg_replace('/#.*$/', '', $page)."#gnomic-owner=$told.".$this->signature($told);
    }

    /** @return int|null identifier of the site; null where the token is none, or is over */
    public function site(string $token, int $now): ?int
    {
        if (preg_match('/^(\d{1,18})\.(\d{9,11})\.([0-9a-f]{40})$/D', $token, $found) !== 1) {
            return null;
        }
        $isOurs = hash_equals($this->signature("$found[1].$found[2]"), $found[3]);

        return $isOurs && (int) $found[2] > $now ? (int) $found[1] : null;
    }

    private function signature(string $told): string
    {
        return substr(hash_hmac('sha256', "owner-links:$told", $this->secret), 0, 40);
    }
}
