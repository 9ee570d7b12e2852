<?php

declare(strict_types=1);

namespace App\Fetching;

use Gnomic\Failure;
use Gnomic\Text\Echoed;
use RuntimeException;

/** An outside service could not be asked, or its answer not be taken. The message says why and what to do. */
final class FetchFailed extends RuntimeException implements Failure
{
    /**
     * @param  int|null  $retryAfter  seconds that the service asks to be left alone
     * @param  int|null  $status  that it answered with, where it answered
     * @param  'key'|'token'|'permission'|null  $needs  what it wants of the owner first
     */
    private function __construct(
        string $message,
        public readonly ?int $retryAfter = null,
        public readonly ?int $status = null,
        public readonly ?string $needs = null,
    ) {
        parent::__construct($message);
    }

    /** As another process of ours has told it. */
    public static function told(string $message): self
    {
        return new self($message);
    }

    public static function notAnAddress(string $address): self
    {
        return new self(Echoed::quoted($address).' is no web address. Write it whole, with https:// before it.');
    }

    public static function privateNetwork(string $host): self
    {
        return new self("$host lies on a private network, where Gnomic does not look. Give a public address.");
    }

    public static function unknownHost(string $host): self
    {
        return new self("There is no host called $host. Check that the address is spelled correctly.");
    }

    public static function noAnswer(string $host, string $detail): self
    {
        return new self("$host did not answer ($detail). Gnomic will try again.");
    }

    public static function tooSlow(string $host, int $seconds): self
    {
        $time = $seconds === 1 ? '1 second' : "$seconds seconds";

        return new self("$host did not finish its answer within $time. Gnomic will try again.");
    }

    public static function tooLarge(string $host, int $bytes): self
    {
        $megabytes = round($bytes / 1_048_576, 1);

        return new self("$host answered with more than $megabytes MB, unpacked, which is more than Gnomic reads. Check the address.");
    }

    /** A service names an address of somebody else's for what it wants a token for. */
    public static function elsewhere(string $service, string $address): self
    {
        return new self("$service names ".Echoed::short($address).' to go on, which is not its own. What you granted was not sent there. '
            .'Gnomic will try again. If this continues, ask the service.');
    }

    public static function redirectsWithoutEnd(string $host, int $most): self
    {
        return new self("$host sends from address to address, more than $most times. Give the address where it ends.");
    }

    public static function brokenPacking(string $host): self
    {
        return new self("$host says that its answer is packed, but it cannot be unpacked. Gnomic will try again.");
    }

    /** @param  'key'|'token'|'permission'|null  $needs */
    public static function status(int $status, string $host, ?int $retryAfter = null, ?string $detail = null, ?string $needs = null): self
    {
        $meaning = match (true) {
            $status === 401, $status === 403 => 'it refused access; the address may be private, or a key is missing',
            $status === 404, $status === 410 => 'there is nothing at this address; check it, as it may have moved',
            $status === 429 => 'it has received too many requests; Gnomic will wait for a while',
            $status >= 500 => 'it has an error of its own; Gnomic will try again',
            default => 'check the address',
        };

        return new self("$host answered with status $status: ".($detail ?? $meaning).'.', $retryAfter, $status, $needs);
    }

    public static function accessEnded(string $service): self
    {
        return new self(
            "Access at $service has ended: it was taken back there, or ran out. Grant it again. Everything collected so far is kept.",
            needs: 'permission',
        );
    }

    public static function notGranted(string $service): self
    {
        return new self("No access at $service is granted for this source. Grant it, and it goes on.", needs: 'permission');
    }

    /** @param  'key'|'token'  $what */
    public static function keyMissing(string $service, string $what): self
    {
        return new self("$service wants a $what; paste yours.", needs: $what);
    }

    public function about(): array
    {
        return $this->needs === null ? [] : ['needs' => $this->needs];
    }
}
