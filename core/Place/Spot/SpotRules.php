<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

/**
 * All spots of a site together: which of them decides on a page, and which are in each other's way. Of those for one place, the one
 * whose pattern is the most particular decides (PathPattern::compared); of equals the one with days to it; else the earliest made.
 */
final readonly class SpotRules
{
    /** Spots of a site. */
    public const MOST = 2_000;

    /** @var array<string, array{spot: Spot, widget: string}> by key, in the order in which they were made */
    private array $spots;

    /** @param  array<string, array{spot: Spot, widget: string}>  $spots  by key, in the order in which they were made */
    public function __construct(array $spots)
    {
        $this->spots = $spots;
    }

    /**
     * What shows on a page: for each place, who decides there.
     *
     * @return list<string> keys of spots
     */
    public function on(string $path): array
    {
        $best = [];
        foreach ($this->spots as $key => ['spot' => $spot, 'widget' => $widget]) {
            $pattern = $spot->patternFor($path);
            $place = $spot->place($widget);
            if ($pattern !== null && (! isset($best[$place]) || self::compared($this->spots[$best[$place]]['spot'], $spot, $path) < 0)) {
                $best[$place] = (string) $key;
            }
        }

        return array_values($best);
    }

    /**
     * Rules for scripts, each pattern by itself, the most particular first: whoever asks takes the first that fits, for each place.
     *
     * @return list<array{key: string, pattern: string|list<string>|array{0: string, e: string, m: string, r: string}}>
     */
    public function ordered(): array
    {
        $rules = [];
        $place = 0;
        foreach ($this->spots as $key => ['spot' => $spot]) {
            foreach ($spot->pages as $pattern) {
                $rules[] = ['key' => (string) $key, 'pattern' => $pattern, 'spot' => $spot, 'place' => $place++];
            }
        }
        usort($rules, fn (array $one, array $other): int => [
            $other['pattern']->compared($one['pattern']),
            self::hasDays($other['spot']),
            $one['place'],
        ] <=> [0, self::hasDays($one['spot']), $other['place']]);

        return array_map(fn (array $rule): array => ['key' => $rule['key'], 'pattern' => $rule['pattern']->compiled()], $rules);
    }

    /**
     * Spots that would both decide: for one place, on the same pages, with nothing to tell which.
     *
     * @return list<array{string, string}> keys, of the one that decides and of the one that does not
     */
    public function collisions(): array
    {
        $at = $collisions = [];
        foreach ($this->spots as $key => ['spot' => $spot, 'widget' => $widget]) {
            foreach ($spot->pages as $pattern) {
                $place = $spot->place($widget).' '.json_encode($pattern->compiled()).' '.(int) self::hasDays($spot);
                $other = $at[$place] ?? null;
                if ($other !== null && $other !== $key && self::overlap($this->spots[$other]['spot'], $spot)) {
                    $collisions["$other $key"] = [(string) $other, (string) $key];
                }
                $at[$place] ??= $key;
            }
        }

        return array_values($collisions);
    }

    private static function compared(Spot $left, Spot $right, string $path): int
    {
        [$of, $to] = [$left->patternFor($path), $right->patternFor($path)];

        return $of === null || $to === null ? 0 : [$of->compared($to), self::hasDays($left)] <=> [0, self::hasDays($right)];
    }

    private static function hasDays(Spot $spot): bool
    {
        return $spot->from !== null || $spot->to !== null;
    }

    private static function overlap(Spot $one, Spot $other): bool
    {
        return ($one->from ?? '') <= ($other->to ?? '9999') && ($other->from ?? '') <= ($one->to ?? '9999');
    }
}
