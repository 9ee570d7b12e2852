<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClock;

/** The part of Symfony's clock contract that its HTTP parts ask for. */
interface ClockInterface extends PsrClock
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;
}
