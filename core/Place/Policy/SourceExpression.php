<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

/**
 * One host or scheme of a list, and what it lets in: "match response to source list" of Content Security Policy Level 3, §6.7.2.
 */
final readonly class SourceExpression
{
    private const DEFAULTS = ['http' => 80, 'https' => 443, 'ws' => 80, 'wss' => 443];

    private const HOST = '~^(?:(?<scheme>[a-z][a-z0-9+.-]*)://)?(?<host>\*|(?:\*\.)?[a-z0-9_-]+(?:\.[a-z0-9_-]+)*\.?|\[[0-9a-f:.]+\])'
        .'(?::(?<port>\d+|\*))?(?<path>/[^?#]*)?(?:[?#].*)?$~i';

    /** @param  string  $written  as it stands in the policy */
    private function __construct(
        private string $written,
        private ?string $scheme,
        private ?string $host,
        private ?string $port,
        private string $path,
    ) {
    }

    /** @return self|null null for what is none: a keyword, or nothing that has a meaning */
    public static function of(string $written): ?self
    {
        if (preg_match('~^([a-z][a-z0-9+.-]*):$~i', $written, $found) === 1) {
            return new self($written, strtolower($found[1]), null, null, '');
        }
        if (strtolower($written) === "'self'") {
            return new self("'self'", null, null, null, '');
        }
        if (preg_match(self::HOST, $written, $found, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }

        return new self(
            $written,
            isset($found['scheme']) ? strtolower($found['scheme']) : null,
            strtolower($found['host']),
            $found['port'] ?? null,
            $found['path'] ?? '',
        );
    }

    /** @param  string  $page  address of the page that has the policy */
    public function lets(string $address, string $page): bool
    {
        $wanted = parse_url($address);
        $own = parse_url($page);
        if ($wanted === false || ! isset($wanted['scheme'], $wanted['host']) || $own === false) {
            return false;
        }
        $scheme = strtolower($wanted['scheme']);
        $host = strtolower($wanted['host']);
        $ownScheme = strtolower($own['scheme'] ?? '');
        if ($this->written === "'self'") {
            return self::isSelf($scheme, $host, $wanted['port'] ?? null, $ownScheme, $own);
        }
        if ($this->written === '*') {
            return isset(self::DEFAULTS[$scheme]) || $scheme === $ownScheme;
        }
        if ($this->host === null) {
            return self::isOfScheme((string) $this->scheme, $scheme);
        }

        return self::isOfScheme($this->scheme ?? $ownScheme, $scheme) && $this->isOfHost($host)
            && $this->isOfPort($this->scheme ?? $ownScheme, $scheme, $wanted['port'] ?? null) && $this->isOfPath($wanted['path'] ?? '/');
    }

    /** @param  array{scheme?: string, host?: string, port?: int, ...}  $own */
    private static function isSelf(string $scheme, string $host, ?int $port, string $ownScheme, array $own): bool
    {
        if ($host !== strtolower($own['host'] ?? '')) {
            return false;
        }
        $ports = [$port ?? self::DEFAULTS[$scheme] ?? 0, ($own['port'] ?? null) ?? self::DEFAULTS[$ownScheme] ?? 0];
        $areUsual = $ports[0] === (self::DEFAULTS[$scheme] ?? 0) && $ports[1] === (self::DEFAULTS[$ownScheme] ?? 0);
        $isUpgrade = $scheme === 'https' || $scheme === 'wss' || ($ownScheme === 'http' && $scheme === 'ws');

        return ($ports[0] === $ports[1] || $areUsual) && ($scheme === $ownScheme || $isUpgrade);
    }

    /** §6.7.2.9: what is written without protection may also be had with it. As browsers do, no socket lets in a page. */
    private static function isOfScheme(string $written, string $scheme): bool
    {
        return $written === $scheme || in_array("$written $scheme", ['http https', 'ws wss'], true);
    }

    private function isOfHost(string $host): bool
    {
        if ($this->host === '*') {
            return true;
        }

        return str_starts_with((string) $this->host, '*.')
            ? str_ends_with($host, substr((string) $this->host, 1))
            : $host === $this->host;
    }

    private function isOfPort(string $written, string $scheme, ?int $port): bool
    {
        $usual = self::DEFAULTS[$scheme] ?? 0;
        $port ??= $usual;
        if ($this->port === '*') {
            return true;
        }
        if ($this->port === null) {
            return $port === $usual;
        }

        return (int) $this->port === $port || ((int) $this->port === 80 && $port === 443 && "$written $scheme" === 'http https');
    }

    private function isOfPath(string $path): bool
    {
        if ($this->path === '' || ($this->path === '/' && $path === '')) {
            return true;
        }
        [$written, $path] = [rawurldecode($this->path), rawurldecode($path)];

        return str_ends_with($written, '/') ? str_starts_with($path, $written) : $path === $written;
    }
}
