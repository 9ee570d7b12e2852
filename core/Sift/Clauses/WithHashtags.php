<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Terms;
use Gnomic\Sift\Topic;

/** Entries with certain hashtags, those in their words included. */
final readonly class WithHashtags extends Clause
{
    private function __construct(private TagTest $test)
    {
    }

    public static function key(): string
    {
        return 'hashtags';
    }

    public static function topic(): Topic
    {
        return WithTerms::topic();
    }

    public static function columns(): array
    {
        return ['tags'];
    }

    public static function members(): array
    {
        return [
            '/sift/hashtags' => Terms::schema(
                'Hashtags, those in the text included; whole, folded; a star at the end is any ending. Null for any.',
            ),
        ];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/hashtags' => $site->terms($site->tags)];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $terms = Terms::read($wanted->part('sift')->object('hashtags'));

        return $terms->isEmpty() ? null : new self(new TagTest('hashtag', $terms));
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::ByTags;
    }

    public static function called(): string
    {
        return 'the hashtags';
    }

    public static function doubts(Criteria $wanted): array
    {
        return TagTest::doubts('hashtags', Terms::read($wanted->part('sift')->object('hashtags')));
    }

    public function phrase(): string
    {
        return $this->test->terms->spoken('tagged ', 'not tagged ');
    }

    public function keeps(Facts $entry): bool
    {
        return $this->test->fault($entry->tags) === null;
    }

    public function reason(Facts $entry): string
    {
        return (string) $this->test->fault($entry->tags);
    }

    public function condition(): Condition
    {
        return $this->test->condition('tags');
    }
}
