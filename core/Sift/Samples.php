<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** What a site has, for sample briefs: each clause makes some of it (Clause::samples()), by which both sieves are compared. */
final readonly class Samples
{
    /**
     * @param  non-empty-list<string>  $sources  keys
     * @param  non-empty-list<string>  $channels  keys
     * @param  non-empty-list<string>  $subjects  keys
     * @param  non-empty-list<string>  $widgets  keys of others
     * @param  non-empty-list<string>  $refs  identifiers of entries
     * @param  non-empty-list<string>  $words  that people ask for
     * @param  non-empty-list<string>  $tags  that people ask for
     * @param  non-empty-list<string>  $pages  patterns of pages
     */
    public function __construct(
        public array $sources,
        public array $channels,
        public array $subjects,
        public array $widgets,
        public array $refs,
        public array $words,
        public array $tags,
        public array $pages,
    ) {
    }

    /**
     * Lists of one, of two, and of what is not there.
     *
     * @param  non-empty-list<string>  $of
     * @return list<list<string>>
     */
    public function lists(array $of): array
    {
        $lists = [[$of[0]], array_slice($of, 0, 2), ['not-there'], [$of[count($of) - 1], 'not-there']];
        foreach (array_chunk($of, 3) as $three) {
            $lists[] = $three;
        }

        return $lists;
    }

    /**
     * Terms as Terms::lists() has them.
     *
     * @param  non-empty-list<string>  $of
     * @return list<array<string, list<string>>>
     */
    public function terms(array $of): array
    {
        $terms = [];
        foreach ($this->lists($of) as $list) {
            array_push($terms, ['any' => $list], ['none' => $list], ['all' => array_slice($list, 0, 2)],
                ['any' => $list, 'none' => [$of[1] ?? $of[0]]]);
        }

        return $terms;
    }
}
