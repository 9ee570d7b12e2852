<?php

declare(strict_types=1);

namespace App\Placing\Owner;

use App\Models\Site;
use Gnomic\Json\Value;
use Illuminate\Contracts\Cache\Repository;

/**
 * Words by which one page of the owner's own shows links to the bench: for some minutes, once, for that page alone, and no longer than
 * whoever asked for it is signed in. Only a digest of them is kept.
 */
final readonly class OwnerLinks
{
    private const SECONDS = 300;

    public function __construct(private Repository $cache)
    {
    }

    /** @param  string  $page  address of a page of the site @param  int  $user  who is signed in */
    public function to(Site $site, string $page, int $user): string
    {
        $token = bin2hex(random_bytes(20));
        $this->cache->put(self::name($token), [
            'site' => $site->id,
            'path' => self::path($page),
            'user' => $user,
            'turn' => $this->turn($user),
        ], self::SECONDS);

        return preg_replace('/#.*$/', '', $page)."#gnomic-owner=$token";
    }

    /**
     * What a token is for; it is used up by this.
     *
     * @param  string  $path  of the page that shows it
     * @return int|null identifier of the site; null where the token is none, is over, or is for another page
     */
    public function taken(string $token, string $path): ?int
    {
        $kept = preg_match('/^[0-9a-f]{40}$/D', $token) === 1 ? $this->cache->pull(self::name($token)) : null;
        if (! is_array($kept) || ! hash_equals(Value::text($kept['path'] ?? ''), self::path($path))) {
            return null;
        }

        return Value::whole($kept['turn'] ?? -1) === $this->turn(Value::whole($kept['user'] ?? 0))
            ? Value::whole($kept['site'] ?? 0) : null;
    }

    /** Who signs out ends all that were given out. */
    public function end(int $user): void
    {
        $this->cache->put("owner-links-turn:$user", $this->turn($user) + 1, 2 * self::SECONDS);
    }

    private function turn(int $user): int
    {
        return Value::whole($this->cache->get("owner-links-turn:$user", 0));
    }

    private static function name(string $token): string
    {
        return 'owner-link:'.hash('sha256', $token);
    }

    private static function path(string $page): string
    {
        $path = (string) preg_replace(['~^https?://[^/?#]*~i', '~[?#].*$~s'], '', $page);

        return rawurldecode($path === '' ? '/' : $path);
    }
}
