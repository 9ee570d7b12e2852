<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Entry\Kind;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;
use Gnomic\Text\Numbers;

/** Entries of the kinds that the brief names. */
final readonly class OfKinds extends Clause
{
    /** @param  list<Kind>  $kinds */
    private function __construct(private array $kinds)
    {
    }

    public static function key(): string
    {
        return 'kinds';
    }

    public static function topic(): Topic
    {
        return Topic::order();
    }

    public static function columns(): array
    {
        return ['kind'];
    }

    public static function members(): array
    {
        $words = array_map(fn (Kind $kind): string => $kind->value, Kind::cases());

        return ['/gather/kinds' => ListSchema::orNull(
            ChoiceSchema::among($words),
            fewest: 1,
            distinct: true,
            about: 'Kinds of entries; null for all.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/gather/kinds' => [['review'], ['post', 'testimonial']]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $kinds = self::wanted($wanted);

        return $kinds === null ? null : new self($kinds);
    }

    /** @return list<Kind>|null null for all */
    public static function wanted(Criteria $wanted): ?array
    {
        $gather = $wanted->part('gather');

        return $gather->has('kinds') ? array_map(Kind::from(...), $gather->strings('kinds')) : null;
    }

    /** The sentence begins with them: "the newest nine reviews". */
    public static function spoken(Criteria $wanted, SiteContext $site): array
    {
        return [];
    }

    public static function called(): string
    {
        return 'the choice of kinds';
    }

    public function phrase(): string
    {
        return Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun(2), $this->kinds)).' only';
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($entry->kind, $this->names(), true);
    }

    public function reason(Facts $entry): string
    {
        return "It is a $entry->kind; the widget asks for ".$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return Condition::oneOf('kind', $this->names());
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_map(fn (Kind $kind): string => $kind->value, $this->kinds);
    }
}
