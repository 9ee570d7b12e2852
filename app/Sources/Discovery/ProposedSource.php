<?php

declare(strict_types=1);

namespace App\Sources\Discovery;

/** What a website gave away about where people speak of it. */
final readonly class ProposedSource
{
    /**
     * @param  list<array{name: string, kind: string, why: string}>  $subjects
     * @param  list<array{channel: string, channelName: string, address: string, name: string, subject: string|null, why: string,
     *     needs: string|null, connected: bool}>  $sources  needs: what has to be done besides ticking
     * @param  list<string>  $read  addresses that were looked at
     * @param  list<string>  $problems
     */
    public function __construct(public array $subjects, public array $sources, public array $read, public array $problems)
    {
    }
}
