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

    /**
     * @param  string  $date  the same for programs, in the site's zone, as exact as it is said: "2026-11-12", "2025-11"; a moment where
     *      how long ago it was is reckoned when somebody reads it
     */
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
        $isMonth = $context->shape->date === 'month' || ($context->shape->date === 'recent' && self::isOlder($published, $context->now));
        $local = $published->setTimezone($context->zone);

        return match (true) {
            $context->shape->date === 'relative' => new self(
                $context->words->day($published, $context->zone),
                (string) EntryJson::date($local),
            ),
            $isMonth => new self($context->words->month($published, $context->zone), $local->format('Y-m')),
            default => new self($context->words->day($published, $context->zone), $local->format('Y-m-d')),
        };
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
