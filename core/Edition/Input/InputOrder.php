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
     * @param  string  $way  name of the one that these are
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
        public string $way = '',
    ) {
    }

    /** @param  list<Way>  $ways  by which visitors may choose @param  string  $way  name of the one that these are */
    public function among(array $ways, string $way): self
    {
        [$brief, $sifted, $refs, $language] = [$this->brief, $this->sifted, $this->refs, $this->language];

        return new self($brief, $sifted, $refs, $language, $this->choices, $this->offered, $this->further, $ways, $way);
    }
}
