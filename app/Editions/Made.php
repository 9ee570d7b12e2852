<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Edition\Variants;

/** All that an edition is rendered from. */
final readonly class Made
{
    /**
     * @param  array<string, Content>  $contents  by the names of the variants, the usual one under ''; none for a widget that shows
     *     nothing
     * @param  list<EverythingPage>  $pages  of everything, the newest first; none where nothing leads there
     * @param  list<string>  $shown  references of what the usual one shows
     * @param  array<string, mixed>|null  $placement  what shows on which pages, as Placements::of(); null: the same everywhere
     */
    public function __construct(
        public ?Variants $variants,
        public array $contents,
        public array $pages,
        public array $shown,
        public ?array $placement = null,
    ) {
    }

    /** Of a widget that was taken away: whoever still has its code on a page shows nothing there. */
    public static function nothing(): self
    {
        return new self(null, [], [], []);
    }
}
