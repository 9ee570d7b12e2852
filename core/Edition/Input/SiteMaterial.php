<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use DateTimeZone;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Sift\SiteContext;

/** What a site has for its widgets beside the entries. */
final readonly class SiteMaterial
{
    /**
     * @param  DateTimeZone  $zone  for the days shown
     * @param  string  $about  what it is all about: the site's name
     * @param  array<string, SourcePage>  $pages  where entries were said, by the key of the source
     * @param  array<string, StoredPicture>  $pictures  those that are kept, by their address at the source
     * @param  list<Account>  $accounts  of the brief's sources
     */
    public function __construct(
        public SiteContext $context,
        public DateTimeZone $zone,
        public string $about = '',
        public array $pages = [],
        public array $pictures = [],
        public array $accounts = [],
    ) {
    }

    public function withoutAccounts(): self
    {
        return new self($this->context, $this->zone, $this->about, $this->pages, $this->pictures);
    }
}
