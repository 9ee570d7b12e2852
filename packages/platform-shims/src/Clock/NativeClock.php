<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeImmutable;
use DateTimeZone;

/** The system's clock. */
final class NativeClock implements ClockInterface
{
    private DateTimeZone $zone;

    public function __construct(DateTimeZone|string|null $timezone = null)
    {
        $this->zone = self::zone($timezone ?? date_default_timezone_get());
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('now', $this->zone);
    }

    public function sleep(float|int $seconds): void
    {
        usleep((int) round($seconds * 1_000_000));
    }

    public function withTimeZone(DateTimeZone|string $timezone): static
    {
        $clone = clone $this;
        $clone->zone = self::zone($timezone);

        return $clone;
    }

    private static function zone(DateTimeZone|string $zone): DateTimeZone
    {
        return is_string($zone) ? new DateTimeZone($zone) : $zone;
    }
}
