<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use DateTimeImmutable;
use Gnomic\Entry\EntryJson;

/** When it was said: "12 November 2026"; "November 2025" of what is older. */
final readonly class DatePart extends Part
{
    /** Days: half a year. */
    private const RECENT = 183;

    /** @param  string  $date  the same as RFC 3339, in the site's zone */
    private function __construct(public string $text, public string $date)
    {
    }

    public static function name(): string
    {
        return 'date';
    }

    public static function label(): string
    {
        return 'Date';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $published = $context->entry->published;
        if ($published === null) {
            return null;
        }
        $said = $context->shape->date === 'month' || ($context->shape->date === 'recent' && self::isOlder($published, $context->now))
            ? $context->words->month($published, $context->zone)
            : $context->words->day($published, $context->zone);

        return new self($said, (string) EntryJson::date($published->setTimezone($context->zone)));
    }

    /** Whether the day says no more than the month. */
    public static function isOlder(DateTimeImmutable $published, DateTimeImmutable $now): bool
    {
        return $published < $now->setTime(0, 0)->modify('-'.self::RECENT.' days');
    }

    public static function row(): Row
    {
        return Row::Said;
    }

    public function text(): string
    {
        return $this->text;
    }
}
