<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Text\HostName;

/** Hosts on which a site's widgets show: "quillmoor.example", "*.quillmoor.example", "localhost:8082", "localhost:*". */
final readonly class AllowedHosts
{
    /** @param  list<string>  $patterns */
    private function __construct(private array $patterns)
    {
    }

    /** @param  list<string>  $patterns */
    public static function of(array $patterns): self
    {
        return new self(array_map(HostName::ascii(...), $patterns));
    }

    /**
     * A pattern as people write it; null for what is none. Whole addresses are taken for their host.
     */
    public static function tidy(string $written): ?string
    {
        $host = HostName::ascii((string) preg_replace('~^(?:https?:)?//|[/?#].*$~i', '', trim($written)));

        return preg_match(
            '/^(?:\*\.)?[a-z0-9_-]+(?:\.[a-z0-9_-]+)*(?::(?:\d{1,5}|\*))?$/D',
            $host,
        ) === 1 && strlen($host) <= 200 ? $host : null;
    }

    /** As resources/embed/behaviours/place.ts decides. @param  int|null  $port  null for the usual one */
    public function allows(string $host, ?int $port): bool
    {
        $host = HostName::ascii($host);
        foreach ($this->patterns as $pattern) {
            [$name, $of] = explode(':', $pattern, 2) + [1 => ''];
            $isPort = $of === '' || $of === '*' || $of === (string) $port;
            if ($isPort && (str_starts_with($name, '*.') ? str_ends_with($host, substr($name, 1)) : $host === $name)) {
                return true;
            }
        }

        return false;
    }
}
