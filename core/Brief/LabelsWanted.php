<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/** Labels, everywhere and by page. */
final readonly class LabelsWanted
{
    /** Pages with labels of their own. */
    private const MOST_PAGES = 50;

    /** @param  list<array{page: string, labels: TermsWanted}>  $byPage  the first whose page fits stands in place of the usual ones; a star in a page is any run of characters */
    public function __construct(public TermsWanted $usual, public array $byPage)
    {
    }

    /** Null where it asks nothing. */
    public static function read(?Members $labels): ?self
    {
        if ($labels === null) {
            return null;
        }
        Fields::only($labels, ['all', 'any', 'none', 'byPage']);
        $byPage = [];
        if (count($labels->list('byPage')) > self::MOST_PAGES) {
            throw MemberIsWrong::at($labels->to('byPage'), 'at most '.self::MOST_PAGES.' long', $labels->list('byPage'));
        }
        foreach ($labels->list('byPage') as $index => $one) {
            $members = Members::of($one, $labels->to('byPage')."/$index");
            Fields::only($members, ['page', 'all', 'any', 'none']);
            $byPage[] = ['page' => $members->string('page'), 'labels' => TermsWanted::lists($members)];
        }
        $usual = TermsWanted::lists($labels);

        return $usual->isEmpty() && $byPage === [] ? null : new self($usual, $byPage);
    }

    /** @param  string|null  $page  path; null where it is not known */
    public function at(?string $page): TermsWanted
    {
        $place = $this->placeOf($page);

        return $place === null ? $this->usual : $this->byPage[$place]['labels'];
    }

    /** Which of the pages with labels of their own it is. */
    public function placeOf(?string $page): ?int
    {
        foreach ($page === null ? [] : $this->byPage as $index => $one) {
            if (preg_match('~^'.str_replace('\*', '.*', preg_quote($one['page'], '~')).'$~u', (string) $page) === 1) {
                return $index;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->usual->toArray() + ['byPage' => array_map(fn (array $one): array => ['page' => $one['page']] + $one['labels']->toArray(), $this->byPage)];
    }
}
