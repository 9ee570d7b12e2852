<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Sift\Flattery;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sifted;

/** A brief over the entries as they are, whether or not it ever goes out. */
final readonly class Tried
{
    /**
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is, whether or not visitors are told
     * @param  int  $offered  entries behind the link to everything
     */
    public function __construct(
        public Sifted $sifted,
        public Selection $selection,
        public array $choices,
        public int $offered,
        public VariantInput $input,
    ) {
    }
}
