<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;
use Gnomic\Sift\Sifted;

/** Entries beside those that a widget shows at once, for visitors who want more of them. */
final readonly class Further
{
    /** Entries that visitors get within a widget; beyond, everything has pages of its own. */
    public const MOST = 100;

    /**
     * @param  list<Entry>  $entries  in their order
     * @param  int  $size  entries of a page
     */
    public function __construct(public array $entries, public int $size)
    {
    }

    /**
     * Which they are.
     *
     * @param  list<string>  $shown  references of those that are shown at once
     * @return list<string> references, in their order; none where the brief wants none
     */
    public static function refs(Sifted $sifted, Brief $brief, array $shown): array
    {
        return $brief->shape->more === 'none' ? [] : array_values(array_diff(
            $sifted->alongside($brief->criteria->with('/sift/limit', self::MOST))->selection()->shown,
            $shown,
        ));
    }

    /** @return list<list<Entry>> */
    public function pages(): array
    {
        return array_chunk($this->entries, max(1, $this->size));
    }
}
