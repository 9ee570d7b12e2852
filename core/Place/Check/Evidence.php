<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Json\Value;

/**
 * What visitors' browsers said of a widget on a page, by the hour. Anybody can say anything, and a visitor's own blocker may hide what all
 * others see: so an hour has ten voices at most, and speaks as most of them do; and what the last three hours in which anybody spoke do
 * not agree about is not known.
 */
final readonly class Evidence
{
    /** Hours that have to agree. */
    public const HOURS = 3;

    /** Voices that an hour has. */
    public const VOICES = 10;

    /** Hours that are kept. */
    private const KEPT = 6;

    private const SEEN = 0;

    private const HIDDEN = 1;

    private const NARROW = 2;

    /**
     * @param  array<int, array{int, int, int, int}>  $hours  by hours since 1970, the eldest first: how many saw it, had it hidden, had no
     *     room for it, and the last width in CSS pixels
     */
    private function __construct(private array $hours)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @param  mixed  $kept  as toArray gives it; what is none of that is left out */
    public static function of(mixed $kept): self
    {
        $hours = [];
        foreach (is_array($kept) ? $kept : [] as $hour => $told) {
            if (is_array($told) && array_is_list($told) && count($told) === 4) {
                [$seen, $hidden, $narrow, $width] = array_map(Value::whole(...), $told);
                $hours[(int) $hour] = [$seen, $hidden, $narrow, $width];
            }
        }
        ksort($hours);

        return new self($hours);
    }

    /**
     * @param  int  $at  in seconds since 1970
     * @param  int  $width  in CSS pixels
     * @param  bool  $isHidden  whether it had no box at all
     */
    public function plus(int $at, int $width, bool $isHidden): self
    {
        $hours = $this->hours;
        $hour = intdiv($at, 3600);
        $told = $hours[$hour] ?? [0, 0, 0, 0];
        if ($told[self::SEEN] + $told[self::HIDDEN] + $told[self::NARROW] >= self::VOICES) {
            return $this;
        }
        $told[$width > 0 ? self::SEEN : ($isHidden ? self::HIDDEN : self::NARROW)]++;
        $told[3] = $width > 0 ? $width : $told[3];
        $hours[$hour] = $told;
        ksort($hours);

        return new self(array_slice($hours, -self::KEPT, preserve_keys: true));
    }

    /**
     * What the last three hours agree about.
     *
     * @param  int  $since  hours that began before count for nothing; in seconds since 1970
     */
    public function agreed(int $since): ?Sighting
    {
        $hours = array_slice(
            array_filter($this->hours, fn (int $hour): bool => $hour * 3600 >= $since, ARRAY_FILTER_USE_KEY),
            -self::HOURS,
        );
        $says = array_unique(array_map(self::says(...), $hours));
        if (count($hours) < self::HOURS || count($says) !== 1 || $says[0] === null) {
            return null;
        }

        return new Sighting($says[0] === self::SEEN ? $hours[self::HOURS - 1][3] : 0, $says[0] === self::HIDDEN);
    }

    /** @return array<int, array{int, int, int, int}> */
    public function toArray(): array
    {
        return $this->hours;
    }

    /** @param  array{int, int, int, int}  $hour */
    private static function says(array $hour): ?int
    {
        foreach ([self::SEEN, self::HIDDEN, self::NARROW] as $kind) {
            if (2 * $hour[$kind] > $hour[self::SEEN] + $hour[self::HIDDEN] + $hour[self::NARROW]) {
                return $kind;
            }
        }

        return null;
    }
}
