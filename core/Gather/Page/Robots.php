<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use Gnomic\Text\Pieces;

/** What a site asks of programs (RFC 9309): which paths they leave alone, and where its sitemaps are. */
final readonly class Robots
{
    /** Bytes that are read (§2.5). */
    private const MOST = 512_000;

    /**
     * @param  list<array{bool, string}>  $rules  whether allowed, and the path pattern
     * @param  list<string>  $sitemaps
     */
    private function __construct(private array $rules, public array $sitemaps)
    {
    }

    public static function read(string $text, string $agent): self
    {
        $groups = $sitemaps = $names = [];
        $inRules = false;
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', substr($text, 0, self::MOST));
        foreach (Pieces::of($text, Pieces::LINE_ENDS) as $line) {
            if (preg_match('/^\s*([\w-]+)\s*:\s*([^#]*?)\s*(?:#.*)?$/', $line, $found) !== 1) {
                continue;
            }
            $field = strtolower($found[1]);
            if ($field === 'sitemap') {
                // An address may have a number sign of its own: only after a blank it begins a comment.
                $address = trim((string) preg_replace(['/^[^:]*:/', '/(?:^|\s)#.*$/'], '', $line, 1));
                if ($address !== '') {
                    $sitemaps[] = $address;
                }
            } elseif ($field === 'user-agent') {
                $names = $inRules ? [] : $names;
                $inRules = false;
                // Of "Name/1.0", the name alone counts (§2.2.1).
                $name = strtolower((string) preg_replace('/^([a-z_-]+).*$/i', '$1', $found[2]));
                // A group without rules is one all the same: whoever it is for may have everything.
                $groups[$name] ??= [];
                $names[] = $name;
            } elseif ($field === 'allow' || $field === 'disallow') {
                $inRules = true;
                foreach ($names as $name) {
                    if ($found[2] !== '') {
                        $groups[$name][] = [$field === 'allow', self::encoded($found[2])];
                    }
                }
            }
        }

        return new self($groups[strtolower($agent)] ?? $groups['*'] ?? [], $sitemaps);
    }

    /** Where the rules themselves cannot be had for a fault of the site's, everything is left alone (§2.3.1.4). */
    public static function unreachable(): self
    {
        return new self([[false, '/']], []);
    }

    /** The longest rule that fits decides; of equals, the one that allows (§2.2.2). @param  string  $path  with its query */
    public function allows(string $path): bool
    {
        $path = self::encoded($path === '' ? '/' : $path);
        $best = -1;
        $allowed = true;
        foreach ($path === '/robots.txt' ? [] : $this->rules as [$allows, $pattern]) {
            if ((strlen($pattern) > $best || (strlen($pattern) === $best && $allows)) && self::fits($pattern, $path)) {
                [$best, $allowed] = [strlen($pattern), $allows];
            }
        }

        return $allowed;
    }

    /** A star is any run of characters, a dollar at the end the end; each piece as far to the left as it can be. */
    private static function fits(string $pattern, string $path): bool
    {
        $isWhole = str_ends_with($pattern, '$');
        $pieces = explode('*', $isWhole ? substr($pattern, 0, -1) : $pattern);
        $first = array_shift($pieces);
        if (! str_starts_with($path, $first)) {
            return false;
        }
        $at = strlen($first);
        $last = $isWhole && $pieces !== [] ? array_pop($pieces) : null;
        foreach ($pieces as $piece) {
            $found = $piece === '' ? $at : strpos($path, $piece, $at);
            if ($found === false) {
                return false;
            }
            $at = $found + strlen($piece);
        }

        return $last !== null ? str_ends_with($path, $last) && $at <= strlen($path) - strlen($last) : ! $isWhole || $at === strlen($path);
    }

    /** What is compared: octets beyond ASCII percent-encoded, those that need not be decoded (§2.2.2). */
    private static function encoded(string $path): string
    {
        $path = (string) preg_replace_callback('/[^\x21-\x7E]/', fn (array $found): string => rawurlencode($found[0]), $path);

        return (string) preg_replace_callback('/%([0-9a-f]{2})/i', function (array $found): string {
            $sign = chr((int) hexdec($found[1]));

            return preg_match('/[A-Za-z0-9._~-]/', $sign) === 1 ? $sign : '%'.strtoupper($found[1]);
        }, $path);
    }
}
