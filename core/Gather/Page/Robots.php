<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

/** What a site asks of programs (RFC 9309): which paths they leave alone, and where its sitemaps are. */
final readonly class Robots
{
    /**
     * @param  list<array{bool, string}>  $rules  whether allowed, and the path pattern
     * @param  list<string>  $sitemaps
     */
    private function __construct(private array $rules, public array $sitemaps)
    {
    }

    public static function read(string $text, string $agent): self
    {
        $groups = [];
        $sitemaps = [];
        $names = [];
        $inRules = false;
        foreach (preg_split('/\r\n|\r|\n/', mb_substr($text, 0, 500_000)) ?: [] as $line) {
            if (preg_match('/^\s*([\w-]+)\s*:\s*(.*?)\s*(?:#.*)?$/', $line, $found) !== 1) {
                continue;
            }
            $field = strtolower($found[1]);
            if ($field === 'sitemap') {
                $sitemaps[] = $found[2];
            } elseif ($field === 'user-agent') {
                $names = $inRules ? [] : $names;
                $inRules = false;
                $names[] = strtolower($found[2]);
            } elseif ($field === 'allow' || $field === 'disallow') {
                $inRules = true;
                foreach ($names as $name) {
                    $groups[$name] ??= [];
                    if ($found[2] !== '') {
                        $groups[$name][] = [$field === 'allow', $found[2]];
                    }
                }
            }
        }

        return new self($groups[strtolower($agent)] ?? $groups['*'] ?? [], $sitemaps);
    }

    /** The longest rule that fits decides; of equals, the one that allows (§2.2.2). */
    public function allows(string $path): bool
    {
        $best = -1;
        $allowed = true;
        foreach ($this->rules as [$allows, $pattern]) {
            $isFitting = preg_match('~^'.str_replace(['\*', '\$'], ['.*', '$'], preg_quote($pattern, '~')).'~', $path) === 1;
            if ($isFitting && (strlen($pattern) > $best || (strlen($pattern) === $best && $allows))) {
                [$best, $allowed] = [strlen($pattern), $allows];
            }
        }

        return $allowed;
    }
}
