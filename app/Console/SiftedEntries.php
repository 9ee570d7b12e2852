<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Entry\Entry;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\SiteContext;
use SplObjectStorage;

/** The entries of a file, put through a brief's sieve. Two of them may have one identifier: each is told by itself. */
final readonly class SiftedEntries
{
    public Sifting $sifting;

    /** @var SplObjectStorage<Facts, Entry> */
    private SplObjectStorage $entries;

    /** @param  list<Entry>  $entries */
    public function __construct(Criteria $wanted, array $entries, SiteContext $site)
    {
        /** @var SplObjectStorage<Facts, Entry> $of */
        $of = new SplObjectStorage;
        $facts = [];
        foreach ($entries as $entry) {
            $facts[] = $one = Facts::of($entry);
            $of[$one] = $entry;
        }
        $this->entries = $of;
        $this->sifting = Sifting::of($wanted, $facts, $site);
    }

    /** @return list<Entry> all that pass the sieve, in their order */
    public function passing(): array
    {
        return array_map(fn (Facts $one): Entry => $this->entries[$one], $this->sifting->passing());
    }

    /** @return list<Entry> in their order */
    public function shown(): array
    {
        return array_map(fn (Facts $one): Entry => $this->entries[$one], $this->sifting->shown);
    }
}
