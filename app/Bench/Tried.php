<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Content;
use App\Sift\SiteSieve;
use Gnomic\Brief\SentenceContext;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Selection;

/** A brief over the entries as they are, whether or not it ever goes out. */
final readonly class Tried
{
    /**
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is
     * @param  int  $offered  entries behind the link to everything
     */
    public function __construct(
        public SentenceContext $context,
        public SiteSieve $sieve,
        public Selection $selection,
        public array $choices,
        public int $offered,
        public Content $content,
    ) {
    }
}
