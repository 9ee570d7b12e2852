<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Terms;
use Gnomic\Sift\Topic;

/** Entries with certain labels; on some pages, with others. */
final readonly class WithLabels extends Clause
{
    private function __construct(private TagTest $test)
    {
    }

    public static function key(): string
    {
        return 'labels';
    }

    public static function topic(): Topic
    {
        return new Topic('labels', 'sift', 'Labels', 'yours, also page by page');
    }

    public static function columns(): array
    {
        return ['labels'];
    }

    public static function members(): array
    {
        return ['/sift/labels' => ObjectSchema::orNull(Terms::lists() + [
            'byPage' => ListSchema::of(ObjectSchema::of(['page' => TextSchema::of(0, 2000)] + Terms::lists(), ['page']), 50,
                about: 'Labels in place of those above, on pages whose path fits; a star is any run of characters; the first that '
                    .'fits counts.'),
        ], 'Labels, likewise, and by page.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/labels' => [
            ...$site->terms($site->tags),
            ['none' => [$site->tags[0]], 'byPage' => [['page' => $site->pages[0], 'all' => [$site->tags[0]]]]],
            ['byPage' => array_map(fn (string $page): array => ['page' => $page, 'any' => [$site->tags[0]]], $site->pages)],
        ]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $terms = Terms::read($wanted->part('sift')->object('labels'));
        $path = $site->page;
        foreach ($path === null ? [] : self::byPage($wanted) as ['page' => $page, 'terms' => $there]) {
            if (preg_match('~^'.str_replace('\*', '.*', preg_quote($page, '~')).'$~uD', (string) $path) === 1) {
                $terms = $there;
                break;
            }
        }

        return $terms->isEmpty() ? null : new self(new TagTest('label', $terms));
    }

    /** @return list<array{page: string, terms: Terms}> pages with labels of their own */
    public static function byPage(Criteria $wanted): array
    {
        return array_map(function (mixed $one): array {
            $members = Members::of($one);

            return ['page' => $members->string('page'), 'terms' => Terms::read($members)];
        }, $wanted->part('sift')->object('labels')->list('byPage'));
    }

    /** The brief as it is on the pages of one of byPage(). */
    public static function on(Criteria $wanted, int $page): Criteria
    {
        $terms = self::byPage($wanted)[$page]['terms'] ?? new Terms([], [], []);

        return $wanted->with('/sift/labels', ['all' => $terms->all, 'any' => $terms->any, 'none' => $terms->none]);
    }

    public static function spoken(Criteria $wanted, SiteContext $site): array
    {
        return [...parent::spoken($wanted, $site), ...(self::byPage($wanted) === [] ? [] : ['labels by page'])];
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::ByTags;
    }

    public static function called(): string
    {
        return 'the labels';
    }

    public static function without(Criteria $wanted): Criteria
    {
        $byPage = $wanted->part('sift')->object('labels')->list('byPage');

        return $wanted->with('/sift/labels', $byPage === [] ? null : ['byPage' => $byPage]);
    }

    public static function doubts(Criteria $wanted): array
    {
        return TagTest::doubts('labels', Terms::read($wanted->part('sift')->object('labels')));
    }

    public function phrase(): string
    {
        return $this->test->terms->spoken('labelled ', 'not labelled ');
    }

    public function keeps(Facts $entry): bool
    {
        return $this->test->fault($entry->labels) === null;
    }

    public function reason(Facts $entry): string
    {
        return (string) $this->test->fault($entry->labels);
    }

    public function condition(): Condition
    {
        return $this->test->condition('labels');
    }
}
