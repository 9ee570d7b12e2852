<?php

declare(strict_types=1);

namespace App\Fetching;

use Gnomic\Json\Value;

/** Which hosts may be asked. Guards against requests that are turned upon the inner network (CWE-918). */
final readonly class Hosts
{
    /** @param  list<string>  $excepted "host:port" that may be private */
    public function __construct(private array $excepted)
    {
    }

    /**
     * The one address that a request to this host has to go to, so that the name cannot mean another a moment later.
     *
     * @throws FetchFailed where the host is unknown or any of its addresses is not public
     */
    public function addressOf(string $host, int $port): string
    {
        $bare = trim($host, '[]');
        $addresses = filter_var($bare, FILTER_VALIDATE_IP) !== false ? [$bare] : $this->lookedUp($bare);
        if ($addresses === []) {
            throw FetchFailed::unknownHost($host);
        }
        if (! in_array("$host:$port", $this->excepted, true)) {
            foreach ($addresses as $address) {
                if (! self::isPublic($address)) {
                    throw FetchFailed::privateNetwork($host);
                }
            }
        }

        return $addresses[0];
    }

    public static function isPublic(string $address): bool
    {
        // IPv4 written inside IPv6 (mapped, compatible, 6to4 by way of 2002:) is judged as what it stands for.
        $packed = (string) inet_pton($address);
        if (strlen($packed) === 16) {
            $inner = match (true) {
                str_starts_with($packed, str_repeat("\0", 10)."\xFF\xFF"), str_starts_with($packed, str_repeat("\0", 12)),
                str_starts_with($packed, "\x00\x64\xFF\x9B".str_repeat("\0", 8)) => substr($packed, 12),
                str_starts_with($packed, "\x20\x02") => substr($packed, 2, 4),
                default => null,
            };
            if ($inner !== null) {
                return self::isPublic((string) inet_ntop($inner));
            }
            if (
                (ord($packed[0]) & 0xFE) === 0xFC
                || $packed[0] === "\xFF"
                || ($packed[0] === "\xFE" && (ord($packed[1]) & 0xC0) >= 0x80)
            ) {
                return false;
            }
        } else {
            $long = (int) ip2long($address);
            foreach (['100.64.0.0/10', '192.0.0.0/24', '198.18.0.0/15', '224.0.0.0/4'] as $range) {
                [$base, $bits] = explode('/', $range);
                if (((int) ip2long($base) >> (32 - (int) $bits)) === ($long >> (32 - (int) $bits))) {
                    return false;
                }
            }
        }

        return filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE) !== false;
    }

    /** @return list<string> */
    private function lookedUp(string $host): array
    {
        $four = gethostbynamel($host);
        $six = @dns_get_record($host, DNS_AAAA);

        return [...($four === false ? [] : $four), ...($six === false ? [] : Value::texts(array_column($six, 'ipv6')))];
    }
}
