<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** One thing that was found on a page, with the next step. */
final readonly class CheckFinding
{
    /**
     * @param  string  $says  what is, in a sentence
     * @param  string  $next  what to do; empty where nothing has to be done
     * @param  string|null  $line  to copy: a directive, a policy
     */
    public function __construct(
        public PlacementVerdict $verdict,
        public string $says,
        public string $next = '',
        public ?string $line = null,
    ) {
    }

    /** @return array{verdict: string, label: string, shows: bool, says: string, next: string, line: string|null} */
    public function toArray(): array
    {
        return ['verdict' => $this->verdict->value, 'label' => $this->verdict->label(), 'shows' => $this->verdict->shows(),
            'says' => $this->says, 'next' => $this->next, 'line' => $this->line];
    }
}
