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

/** Entries with a picture of their own; the face of who wrote is none. */
final readonly class WithPictures extends Clause
{
    public static function key(): string
    {
        return 'pictures';
    }

    public static function topic(): Topic
    {
        return new Topic('media', 'sift', 'Pictures and replies', 'only entries that have them');
    }

    public static function columns(): array
    {
        return ['pictured'];
    }

    public static function members(): array
    {
        return ['/sift/withPictures' => new BooleanSchema(false, 'Only entries with a picture of their own.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/withPictures' => [true]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('sift')->boolOr('withPictures', false) ? new self : null;
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::WithPictures;
    }

    public static function called(): string
    {
        return 'the condition on pictures';
    }

    public function phrase(): string
    {
        return 'with pictures';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->pictures > 0;
    }

    public function reason(Facts $entry): string
    {
        return 'It has no picture.';
    }

    public function condition(): Condition
    {
        return new Condition('(pictures > 0)');
    }
}
