<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\SiteNames;
use Gnomic\Sift\Topic;

/** Entries about the subjects that the brief names. */
final readonly class AboutSubjects extends Clause
{
    /** @param  list<string>  $subjects keys */
    private function __construct(private array $subjects, private SiteContext $site)
    {
    }

    public static function key(): string
    {
        return 'subjects';
    }

    public static function topic(): Topic
    {
        return Topic::sources();
    }

    public static function columns(): array
    {
        return ['subject'];
    }

    public static function members(): array
    {
        return ['/gather/subjects' => ListSchema::orNull(
            TextSchema::of(1, 200),
            200,
            about: 'Keys of subjects; null for all, and for entries about none.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/subjects' => $site->lists($site->subjects)];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('gather')->has('subjects') ? new self($wanted->part('gather')->strings('subjects'), $site) : null;
    }

    public static function ofFigures(Criteria $wanted, SiteContext $site): ?self
    {
        return self::of($wanted, $site);
    }

    public static function called(): string
    {
        return 'the choice of subjects';
    }

    public function phrase(): string
    {
        return 'about '.SiteNames::listed($this->subjects, 'subject', $this->site->names->subject(...));
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->subject !== null && in_array($entry->subject, $this->subjects, true);
    }

    public function reason(Facts $entry): string
    {
        return $entry->subject === null
            ? 'It is about none of the chosen subjects.'
            : 'It is about '.$this->site->names->subject($entry->subject).', which is not chosen.';
    }

    public function condition(): Condition
    {
        $any = Condition::oneOf('subject', $this->subjects);

        return new Condition("(subject IS NOT NULL AND $any->sql)", $any->bindings);
    }
}
