<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Brief\TermsWanted;

/** Words, hashtags or labels as the sentence says them. */
final class TermsSpoken
{
    private const TOLD = 3;

    public static function of(TermsWanted $wanted, string $with, string $without): string
    {
        return implode(', ', array_filter([
            $wanted->all === [] ? null : $with.self::listed($wanted->all, 'and'),
            $wanted->any === [] ? null : $with.self::listed($wanted->any, 'or'),
            $wanted->none === [] ? null : $without.self::listed($wanted->none, 'or'),
        ]));
    }

    /** @param  list<string>  $words */
    public static function listed(array $words, string $glue): string
    {
        if (count($words) > self::TOLD) {
            return ($glue === 'and' ? 'all' : 'any').' of '.Numbers::spoken(count($words));
        }
        $quoted = array_map(fn (string $word): string => "\"$word\"", $words);
        $last = array_pop($quoted);

        return $quoted === [] ? (string) $last : implode(', ', $quoted)." $glue $last";
    }
}
