<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Order;
use Gnomic\Sift\Sifted;

/**
 * What visitors may choose among the entries of a widget, each made ahead as a file: the brief with one clause more. What the owner leaves
 * out stays out, and the figures stay those of everything.
 */
final readonly class Ways
{
    /** Files of one edition, over all languages. */
    public const MOST_FILES = 40;

    /**
     * @param  list<Way>  $all  what everybody sees first, then the others; none where there is nothing to choose
     * @param  array<string, Brief>  $briefs  of the others, by name
     * @param  array<string, Sifted>  $sifted  likewise
     */
    private function __construct(public array $all, public array $briefs, public array $sifted)
    {
    }

    /**
     * @param  Sifted  $usual  by the brief itself
     * @param  int  $languages  that each is made in
     */
    public static function from(Supply $supply, Brief $brief, Sifted $usual, int $languages): self
    {
        $choosing = $brief->shape->choosing;
        $most = intdiv(self::MOST_FILES, max(1, $languages));
        $all = $briefs = $siftings = [];
        foreach (array_slice(self::wanted($brief), 0, $most) as $name => [$value, $criteria]) {
            $sifted = $supply->sifted($criteria);
            $count = $sifted->tally()->passing();
            if ($count > 0) {
                $all[] = new Way((string) $name, $choosing->by, $value, $count);
                // Within a choice, there is no further one, and no page behind it.
                $briefs[$name] = $brief->with(criteria: $criteria, shape: $brief->shape->with(['more' => 'none']));
                $siftings[$name] = $sifted;
            }
        }
        $first = new Way('', $choosing->by, null, $usual->tally()->passing());

        return $all === [] ? new self([], [], []) : new self([$first, ...$all], $briefs, $siftings);
    }

    /** @return list<Variant> each of the choices, for the pages that a variant is for */
    public function of(Variant $usual): array
    {
        $variants = [];
        foreach ($this->all as $way) {
            if ($way->name !== '') {
                $variants[] = $usual->chosen($way, $this->briefs[$way->name]);
            }
        }

        return $variants;
    }

    /** @return array<string, array{int|string, Criteria}> what is chosen, and how, by name */
    private static function wanted(Brief $brief): array
    {
        // What is pinned stands before everything, whatever somebody chooses.
        $criteria = $brief->criteria->with('/sift/pins', []);
        $choosing = $brief->shape->choosing;
        $ways = [];
        if ($choosing->by === 'stars') {
            $own = Stars::wanted($criteria);
            foreach ([5, 4, 3, 2, 1] as $stars) {
                // Counted as the bars of the spread are: in whole stars, rounded down.
                $from = max((float) $stars, $own?->least() ?? 1.0);
                $to = min($stars === 5 ? 5.0 : $stars + 0.999, $own?->most() ?? 5.0);
                if ($from <= $to) {
                    $ways["s$stars"] = [$stars, $criteria->with('/sift/stars', ['from' => $from, 'to' => $to])];
                }
            }
        }
        foreach ($choosing->by === 'labels' ? $choosing->labels : [] as $at => $label) {
            $own = $criteria->toArray()['sift']['labels'] ?? null;
            $own = is_array($own) ? $own : [];
            $among = is_array($own['all'] ?? null) ? $own['all'] : [];
            $ways["l$at"] = [$label, $criteria->with('/sift/labels', ['all' => [...$among, $label]] + $own)];
        }
        foreach ($choosing->by === 'order' ? [Order::Newest, Order::Highest] : [] as $order) {
            if ($criteria->order !== $order) {
                $ways[$order->value] = [$order->value, $criteria->with('/sift/order', $order->value)];
            }
        }

        return $ways;
    }
}
