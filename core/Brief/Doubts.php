<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Sift\Clauses;
use Gnomic\Sift\Criteria;

/** What a brief says that is hardly meant. It is kept as it is and does no harm; each doubt says what it is taken for. */
final class Doubts
{
    /** @return list<array{key: string, text: string}> with the topic whose controls mend it */
    public static function about(Criteria $wanted): array
    {
        $doubts = [];
        foreach (Clauses::ALL as $clause) {
            foreach ($clause::doubts($wanted) as $text) {
                $doubts[] = ['key' => $clause::topic()->key, 'text' => $text];
            }
        }

        return $doubts;
    }
}
