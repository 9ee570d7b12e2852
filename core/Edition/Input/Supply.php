<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Sifted;
use Gnomic\Text\Catalogue;

/** Where the entries of an edition come from, and all that stands around them: a site's database, or a file. */
interface Supply
{
    public function sifted(Criteria $wanted): Sifted;

    /** @return non-empty-list<string> languages that are spoken to visitors, the usual one first */
    public function spoken(): array;

    /** The words that ship, with none of the brief's own. */
    public function words(string $language): Catalogue;

    /**
     * Several at once: what they have in common is looked up once.
     *
     * @param  list<InputOrder>  $orders
     * @return list<VariantInput> in the order of these
     */
    public function inputs(array $orders): array;

    /** @return array<string, mixed> what a page of everything depends on beside its entries: without looking these up */
    public function common(Brief $brief, Sifted $sifted, string $language): array;

    /**
     * @param  list<string>  $refs
     * @return array<string, string> of what their sources said, by reference
     */
    public function digests(array $refs): array;
}
