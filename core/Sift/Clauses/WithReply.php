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

/** Entries that the owner has replied to. */
final readonly class WithReply extends Clause
{
    public static function key(): string
    {
        return 'reply';
    }

    public static function topic(): Topic
    {
        return WithPictures::topic();
    }

    public static function columns(): array
    {
        return ['replied'];
    }

    public static function members(): array
    {
        return ['/sift/withReply' => new BooleanSchema(false, 'Only entries that you replied to.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/withReply' => [true]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $wanted->part('sift')->boolOr('withReply', false) ? new self : null;
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::WithReply;
    }

    public static function called(): string
    {
        return 'the condition on replies';
    }

    public function phrase(): string
    {
        return 'with a reply';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->replied;
    }

    public function reason(Facts $entry): string
    {
        return 'Nobody has replied to it.';
    }

    public function condition(): Condition
    {
        return new Condition('(replied = 1)');
    }
}
