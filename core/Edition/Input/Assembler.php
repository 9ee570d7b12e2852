<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sifted;

/** Puts together what an edition is rendered from: the one way for the bench, the command line and what goes out. */
final readonly class Assembler
{
    public function __construct(private Supply $supply)
    {
    }

    /**
     * All of it, for every page and every visit.
     *
     * @param  non-empty-list<string>  $spoken  languages that the widget speaks, the usual one first
     * @param  string  $frame  what stands around the entries of every page of everything
     * @param  array<string, string>  $before  digests of the pages of everything that are out, by their names
     * @param  int  $pages  of everything that are made anew, where there are more than a few: 0 leaves them all for later
     */
    public function edition(Brief $brief, array $spoken, string $frame, array $before = [], int $pages = PHP_INT_MAX): EditionInput
    {
        $sifted = $this->supply->sifted($brief->criteria);
        $variants = Variants::of($brief, $spoken, InLanguages::pageFirst($brief->criteria) ? $sifted->languages() : []);

        return $this->put($brief, $sifted, $variants, [$variants->usual(), ...$variants->others()], $frame, $before, $pages);
    }

    /** The usual variant of it alone. @param  string  $frame  as edition() */
    public function usual(Brief $brief, string $frame): EditionInput
    {
        $variant = Variants::of($brief, $this->supply->spoken(), [])->usual();

        return $this->put($brief, $this->supply->sifted($brief->criteria), null, [$variant], $frame, [], PHP_INT_MAX);
    }

    /**
     * @param  non-empty-list<Variant>  $variants  the usual one first
     * @param  array<string, string>  $before
     */
    private function put(
        Brief $brief,
        Sifted $sifted,
        ?Variants $choice,
        array $variants,
        string $frame,
        array $before,
        int $most,
    ): EditionInput {
        $everything = null;
        $siftings = $selections = $orders = [];
        [$variants, $ways] = $this->withWays($brief, $sifted, $variants);
        foreach ($variants as $variant) {
            // Pages with labels of their own are counted once, whatever the language and the visit.
            $of = $siftings[spl_object_id($variant->brief)] ??= match (true) {
                $variant->brief === $brief => $sifted,
                $variant->way !== null => $ways->sifted[$variant->way->name],
                default => $this->supply->sifted($variant->brief->criteria),
            };
            $at = $variant->first === null && $variant->visit === 1 ? $of : $of->at($variant->first, $variant->visit);
            // What differs in its words alone shows the same.
            $selection = $selections[spl_object_id($variant->brief)."|$variant->first|$variant->visit"] ??= $at->selection();
            $choices = $brief->shape->honest ? Honesty::choices($variant->brief, $at->context(), $selection) : [];
            if ($choices !== [] || $brief->shape->leadsToEverything()) {
                $everything ??= Everything::of($this->supply, $brief, $sifted);
            }
            $order = $this->order($variant, $at, $selection, $choices, $everything?->offered() ?? 0);
            $orders[$variant->name] = $variant->language === null ? $order : $order->among($ways, $variant);
        }
        $inputs = array_combine(array_keys($orders), $this->supply->inputs(array_values($orders)));

        $isLong = $everything?->isLong() === true;
        $pages = $isLong && $most === 0 ? $everything->asBefore($frame, $before)
            : ($everything?->pages($frame, $before, $isLong ? $most : PHP_INT_MAX) ?? []);

        return EditionInput::of($choice, $inputs, $pages, $orders['']->refs ?? [], $isLong);
    }

    /**
     * With those that visitors may choose, in every language; where paths or visits differ, there are enough forms already.
     *
     * @param  non-empty-list<Variant>  $variants
     * @return array{non-empty-list<Variant>, Ways}
     */
    private function withWays(Brief $brief, Sifted $sifted, array $variants): array
    {
        $plain = array_values(array_filter($variants, fn (Variant $variant): bool => $variant->language !== null));
        $ways = Ways::from($this->supply, $brief, $sifted, count($plain));

        return [[...$variants, ...array_merge([], ...array_map($ways->of(...), $plain))], $ways];
    }

    /** The usual variant alone, with what the owner is told of it. */
    public function tried(Brief $brief): Tried
    {
        $sifted = $this->supply->sifted($brief->criteria);
        $selection = $sifted->selection();
        $choices = Honesty::choices($brief, $sifted->context(), $selection);
        $leads = $choices !== [] || $brief->shape->leadsToEverything();
        $offered = $leads ? Everything::of($this->supply, $brief, $sifted)->offered() : 0;
        $usual = Variants::of($brief, $this->supply->spoken(), [])->usual();
        $order = $this->order($usual, $sifted, $selection, $brief->shape->honest ? $choices : [], $offered)
            ->among(Ways::from($this->supply, $brief, $sifted, 1), $usual);

        return new Tried($sifted, $selection, $choices, $offered, $this->supply->inputs([$order])[0]);
    }

    /** The first entries of a brief's choice, of which nothing is told. @param  int  $most  of them */
    public function first(Brief $brief, int $most): VariantInput
    {
        $sifted = $this->supply->sifted($brief->criteria);
        $shown = array_slice($sifted->selection()->shown, 0, $most);

        return $this->supply->inputs([new InputOrder($brief, $sifted, $shown, $this->supply->spoken()[0])])[0];
    }

    /** @param  list<Flattery>  $choices  that visitors are told */
    private function order(Variant $variant, Sifted $sifted, Selection $selection, array $choices, int $offered): InputOrder
    {
        $further = Further::refs($sifted, $variant->brief, $selection->shown);

        return new InputOrder($variant->brief, $sifted, $selection->shown, $variant->words, $choices, $offered, $further);
    }
}
