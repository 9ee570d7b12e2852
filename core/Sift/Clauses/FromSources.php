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

/** Entries of the sources that the brief names. */
final readonly class FromSources extends Clause
{
    /** @param  list<string>  $sources keys */
    private function __construct(private array $sources, private SiteContext $site)
    {
    }

    public static function key(): string
    {
        return 'sources';
    }

    public static function topic(): Topic
    {
        return Topic::sources();
    }

    public static function columns(): array
    {
        return ['source'];
    }

    public static function members(): array
    {
        return ['/gather/sources' => ListSchema::orNull(
            TextSchema::of(1, 100),
            200,
            about: 'Keys of sources; null for all of the site\'s.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/sources' => [[], ...$site->lists($site->sources)]];
    }

    /** @return list<string>|null keys that the brief names; null: all */
    public static function named(Criteria $wanted): ?array
    {
        return $wanted->part('gather')->has('sources') ? $wanted->part('gather')->strings('sources') : null;
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('gather')->has('sources') ? new self($wanted->part('gather')->strings('sources'), $site) : null;
    }

    public static function ofFigures(Criteria $wanted, SiteContext $site): ?self
    {
        return self::of($wanted, $site);
    }

    public static function called(): string
    {
        return 'the choice of sources';
    }

    public function phrase(): string
    {
        return 'from '.SiteNames::listed($this->sources, 'source', $this->site->names->source(...));
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($entry->source, $this->sources, true);
    }

    public function reason(Facts $entry): string
    {
        return 'It comes from '.$this->site->names->source($entry->source).', which is not chosen.';
    }

    public function condition(): Condition
    {
        return Condition::oneOf('source', $this->sources);
    }
}
