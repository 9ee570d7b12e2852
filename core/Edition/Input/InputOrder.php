<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Sifted;

/** Which entries a supply is to put together, for what. */
final readonly class InputOrder
{
    /**
     * @param  list<string>  $refs  of the entries that are shown, in their order
     * @param  string  $language  of the words
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is; none where nobody is told
     * @param  int  $offered  entries behind the link to everything
     * @param  list<string>  $further  of those that visitors can have beside them
     * @param  list<Way>  $ways  by which visitors may choose among them
     * @param  Way|null  $way  the one that these are; null for what everybody sees first
     * @param  string  $pages  language of the pages that they are for; empty for all that have none of their own
     */
    public function __construct(
        public Brief $brief,
        public Sifted $sifted,
        public array $refs,
        public string $language,
        public array $choices = [],
        public int $offered = 0,
        public array $further = [],
        public array $ways = [],
        public ?Way $way = null,
        public string $pages = '',
    ) {
    }

    /** The same where visitors may choose, as in a variant. */
    public function among(Ways $ways, Variant $variant): self
    {
        return new self(
            $this->brief,
            $this->sifted,
            $this->refs,
            $this->language,
            $this->choices,
            $this->offered,
            $this->further,
            $ways->all,
            $variant->way,
            (string) $variant->language,
        );
    }
}
