<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use DateTimeImmutable;
use Gnomic\Sift\SiteContext;

/** What the sentence tells beside the brief itself. */
final readonly class SentenceContext
{
    public SiteContext $site;

    /**
     * @param  list<string>  $cadences  of the sources that the brief names, each once: "every six hours"
     * @param  array<string, string>  $looks  names by key
     * @param  string  $places  where it stands, as Places::spoken(); empty: nowhere yet
     */
    public function __construct(
        ?SiteContext $site = null,
        public array $cadences = [],
        public array $looks = [],
        public string $places = '',
    ) {
        $this->site = $site ?? new SiteContext(new DateTimeImmutable('1970-01-01T00:00:00Z'));
    }
}
