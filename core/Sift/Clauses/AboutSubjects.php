<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries about the subjects that the brief names. */
final readonly class AboutSubjects implements OfAlike
{
    /** @param  list<string>  $subjects keys */
    public function __construct(private array $subjects)
    {
    }

    public function key(): string
    {
        return 'subjects';
    }

    public function phrase(): string
    {
        return 'about '.Numbers::counted(count($this->subjects), 'subject');
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->subject !== null && in_array($entry->subject, $this->subjects, true);
    }

    public function reason(Facts $entry): string
    {
        return $entry->subject === null ? 'It is about no subject that is known, and the brief wants some.' : "It is about \"$entry->subject\", which the brief does not name.";
    }

    public function condition(): Condition
    {
        $any = Condition::oneOf('subject', $this->subjects);

        return new Condition("(subject IS NOT NULL AND $any->sql)", $any->bindings);
    }
}
