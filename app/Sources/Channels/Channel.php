<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Fetching\FetchFailed;
use App\Models\Source;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\PayloadIsUnreadable;

/** A kind of outside service: talks to it, and hands what it says to the core for reading. */
interface Channel
{
    /** As people name it: "Feed", "Wayleaf". */
    public function name(): string;

    /** What it brings, in words: "reviews and the owner's replies". */
    public function brings(): string;

    /** Of which kind all of that is; null where it may be of several. */
    public function kind(): ?Kind;

    /** Where visitors are told that an entry was said: the service, or what the owner calls the feed. */
    public function saidAt(Source $source): string;

    /** The page of the source for everybody, where people read and write; null where it has none that is known. */
    public function pageOf(Source $source): ?string;

    /** Whether everybody can write a review on that page. */
    public function takesReviews(): bool;

    /** What stands for the source there, where an address that people copy from their browser belongs to the channel; else null. */
    public function recognised(string $address): ?string;

    /** Whether there is something to ask again; where not, entries are handed over by the owner. */
    public function isAsked(): bool;

    /**
     * @param  Closure(int): void  $progress  told how many entries have been read so far, whenever more have
     *
     * @throws FetchFailed where the service cannot be asked
     * @throws PayloadIsUnreadable where its answer is of another kind
     */
    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered;
}
