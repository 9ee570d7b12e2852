<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\Way;
use Gnomic\Sift\Order;
use Gnomic\Text\Catalogue;

/** What visitors may choose, in words; and of how many, what is shown is a part. */
final readonly class Choices
{
    /**
     * @param  list<Choice>  $all  none where there is nothing to choose
     * @param  string  $base  "12 of 84 are shown"
     */
    private function __construct(public array $all, public string $base)
    {
    }

    /** @param  int  $shown  cards */
    public static function of(Chosen $chosen, Catalogue $words, int $shown): self
    {
        $count = 0;
        $all = [];
        foreach ($chosen->ways as $way) {
            $isNow = $way->name === (string) $chosen->way?->name;
            $count = $isNow ? $way->count : $count;
            $stars = is_int($way->value) ? $way->value : null;
            $all[] = new Choice(
                $way->file($chosen->pages),
                self::text($way, $words),
                $stars,
                self::said($way, $words),
                $way->name === '',
                $isNow,
            );
        }

        return new self($all, $all === [] ? '' : $words->say('choose.shown', ['shown' => min($shown, $count), 'count' => $count]));
    }

    public function isEmpty(): bool
    {
        return $this->all === [];
    }

    public function areStars(): bool
    {
        return array_filter($this->all, fn (Choice $one): bool => $one->stars !== null) !== [];
    }

    /** That of so many stars. */
    public function ofStars(int $stars): ?Choice
    {
        return array_values(array_filter($this->all, fn (Choice $one): bool => $one->stars === $stars))[0] ?? null;
    }

    private static function text(Way $way, Catalogue $words): string
    {
        return match (true) {
            $way->value === null => $words->say('choose.all'),
            $way->value === Order::Newest->value && $way->by === 'order' => $words->say('choose.newest'),
            $way->value === Order::Highest->value && $way->by === 'order' => $words->say('choose.highest'),
            is_int($way->value) => $words->number($way->value),
            default => $way->value,
        };
    }

    private static function said(Way $way, Catalogue $words): string
    {
        return match (true) {
            is_int($way->value) => $words->say('figures.stars', ['stars' => $way->value, 'count' => $way->count]),
            $way->by === 'labels' && $way->value !== null => "$way->value: ".$words->number($way->count),
            default => self::text($way, $words),
        };
    }
}
