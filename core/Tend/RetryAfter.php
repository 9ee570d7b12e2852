<?php

declare(strict_types=1);

namespace Gnomic\Tend;

use DateTimeImmutable;
use Gnomic\Dates\DateReader;

/** The Retry-After field: seconds, or an HTTP date (RFC 9110 §10.2.3). */
final class RetryAfter
{
    /** @return int|null seconds from now, never below 0; null where there is none or it cannot be read */
    public static function seconds(?string $field, DateTimeImmutable $now): ?int
    {
        $field = trim((string) $field);
        if (preg_match('/^\d{1,9}$/', $field) === 1) {
            return (int) $field;
        }
        $date = preg_match('/[A-Za-z]{3}/', $field) === 1 ? DateReader::read($field) : null;

        return $date === null ? null : max(0, $date->getTimestamp() - $now->getTimestamp());
    }
}
