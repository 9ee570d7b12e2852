<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;
use Gnomic\Text\Numbers;

/** Entries that no other widget of the same page shows. */
final readonly class ApartFrom extends Clause
{
    /**
     * @param  list<string>  $widgets  keys
     * @param  list<string>  $shown  identifiers that they show
     */
    private function __construct(private array $widgets, private array $shown)
    {
    }

    public static function key(): string
    {
        return 'apart';
    }

    public static function topic(): Topic
    {
        return new Topic('apart', 'gather', 'Nothing twice on a page', 'leave out what other widgets show');
    }

    public static function columns(): array
    {
        return ['ref'];
    }

    public static function members(): array
    {
        return ['/gather/apartFrom' => ListSchema::of(
            TextSchema::of(1, 40),
            50,
            true,
            about: 'Keys of widgets on the same page: what they show is left out here.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/apartFrom' => $site->lists($site->widgets)];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $widgets = self::widgets($wanted);
        $shown = array_merge(...array_map(fn (string $widget): array => $site->shownBy[$widget] ?? [], $widgets));

        return $widgets === [] ? null : new self($widgets, array_values(array_unique($shown)));
    }

    /** @return list<string> keys of the widgets that it leaves out what they show */
    public static function widgets(Criteria $wanted): array
    {
        return $wanted->part('gather')->strings('apartFrom');
    }

    public function picked(): array
    {
        return $this->shown;
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::Apart;
    }

    public static function called(): string
    {
        return 'what other widgets show';
    }

    public function phrase(): string
    {
        return 'not in '.Numbers::counted(count($this->widgets), 'other widget');
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->isAmong($this->shown);
    }

    public function reason(Facts $entry): string
    {
        return 'Another widget on the same page shows it.';
    }

    public function condition(): Condition
    {
        return Condition::oneOf('ref', $this->shown)->not();
    }
}
