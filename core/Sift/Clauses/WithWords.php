<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/** Entries that say something. A title alone is no words. */
final readonly class WithWords extends Clause
{
    public static function key(): string
    {
        return 'words';
    }

    public static function topic(): Topic
    {
        return Stars::topic();
    }

    public static function columns(): array
    {
        return ['worded'];
    }

    public static function members(): array
    {
        return ['/sift/withWords' => new BooleanSchema(false, 'Only entries with a text; a title alone is none.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/withWords' => [true]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('sift')->boolOr('withWords', false) ? new self : null;
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::WithWords;
    }

    public static function called(): string
    {
        return 'the condition on words';
    }

    public function phrase(): string
    {
        return 'with words';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->length > 0;
    }

    public function reason(Facts $entry): string
    {
        return 'It is a rating without words.';
    }

    public function condition(): Condition
    {
        return new Condition('(length > 0)');
    }
}
