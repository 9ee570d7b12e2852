<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** Finds texts that share their pieces, by the pieces: work grows with what is shared and not with how many there are. */
final readonly class AlikeFinder
{
    /** @var array<int, list<int>> texts by piece */
    private array $having;

    /** @var list<int> how many pieces each has */
    private array $sizes;

    /**
     * @param  list<list<int>>  $texts  pieces as Shingles gives them
     * @param  float  $share  from which on two are alike: resemblance, 0 to 1
     */
    public function __construct(array $texts, private float $share)
    {
        $having = [];
        foreach ($texts as $index => $pieces) {
            foreach ($pieces as $piece) {
                $having[$piece][] = $index;
            }
        }
        $this->having = $having;
        $this->sizes = array_map(count(...), $texts);
    }

    /**
     * @param  list<int>  $pieces
     * @return list<int> texts that are alike to these
     */
    public function alikeTo(array $pieces): array
    {
        $common = [];
        foreach ($pieces as $piece) {
            foreach ($this->having[$piece] ?? [] as $index) {
                $common[$index] = ($common[$index] ?? 0) + 1;
            }
        }

        return array_keys(array_filter(
            $common,
            fn (int $count, int $index): bool => $count / (count($pieces) + $this->sizes[$index] - $count) >= $this->share,
            ARRAY_FILTER_USE_BOTH,
        ));
    }
}
