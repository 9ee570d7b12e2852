<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Clauses\WithLabels;
use Gnomic\Sift\Order;
use Gnomic\Sift\Shuffle;
use Gnomic\Text\LanguageLookup;
use Gnomic\Text\Pieces;

/**
 * What a widget shows differently from page to page or from visit to visit, made ahead: in the language of the page, by its
 * labels, and in some orders of which each visit gets one. Visitors get files; nothing is computed for them.
 */
final readonly class Variants
{
    /** All of them together, the usual one included. */
    public const MOST = 48;

    private const MOST_VISITS = 12;

    /**
     * @param  string  $usual  the language of those whose page speaks none of the others
     * @param  list<string>  $spoken  languages with words of their own
     * @param  list<string>  $languages  of pages that get a variant, primary subtags
     * @param  int  $visits  orders made ahead
     * @param  list<string>  $pages  patterns of paths
     * @param  int  $left  pages with labels of their own for which there is no room
     */
    private function __construct(
        private Brief $brief,
        private string $usual,
        private array $spoken,
        public array $languages,
        public int $visits,
        public array $pages,
        public int $left,
    ) {
    }

    /**
     * Languages come first, then pages, then orders: as many as there is room for.
     *
     * @param  non-empty-list<string>  $spoken  languages that the site speaks to visitors, the usual one first
     * @param  list<string>  $ofEntries  languages of the entries, the most frequent first
     */
    public static function of(Brief $brief, array $spoken, array $ofEntries): self
    {
        $wanted = array_slice($spoken, 1);
        if (InLanguages::pageFirst($brief->criteria)) {
            $wanted = [...$wanted, $spoken[0], ...$ofEntries];
        }
        $shuffles = $brief->criteria->order === Order::Shuffled && $brief->criteria->shuffle === Shuffle::Visit;
        $room = $shuffles ? intdiv(self::MOST, 2) : self::MOST; // a shuffle of one order would be none
        // Files have names in small letters.
        $languages = array_slice(array_values(array_unique(array_map(strtolower(...), $wanted))), 0, $room - 1);
        $all = array_column(WithLabels::byPage($brief->criteria), 'page');
        $pages = array_slice($all, 0, intdiv($room, count($languages) + 1) - 1);
        $visits = $shuffles ? min(self::MOST_VISITS, intdiv(self::MOST, (count($languages) + 1) * (count($pages) + 1))) : 1;

        return new self($brief, $spoken[0], $spoken, $languages, $visits, $pages, count($all) - count($pages));
    }

    /** For the element on the page, which chooses one; null where there is nothing to choose. */
    public function manifest(): ?string
    {
        return $this->languages === [] && $this->visits === 1 && $this->pages === [] ? null
            : json_encode(
                ['languages' => $this->languages, 'visits' => $this->visits, 'pages' => $this->pages],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            );
    }

    /** Whether nothing but the language of the page says which one it gets. */
    public function isByLanguage(): bool
    {
        return $this->languages !== [] && $this->visits === 1 && $this->pages === [];
    }

    /** The one that everybody gets for whom none of the others is made. */
    public function usual(): Variant
    {
        return new Variant('', $this->brief, $this->usual, null, 1, '');
    }

    /** @return list<Variant> all but the usual one, named "de", "v2", "p0", "de.p0.v2" */
    public function others(): array
    {
        $others = [];
        $briefs = array_map(
            fn (int $page): Brief => $this->brief->with(criteria: WithLabels::on($this->brief->criteria, $page)),
            array_keys($this->pages),
        );
        $pageFirst = InLanguages::pageFirst($this->brief->criteria);
        $spoken = new LanguageLookup(array_fill_keys($this->spoken, []));
        foreach ([null, ...$this->languages] as $language) {
            foreach ([null, ...array_keys($this->pages)] as $page) {
                for ($visit = 1; $visit <= $this->visits; $visit++) {
                    $name = implode(
                        '.',
                        array_filter(
                            [$language, $page === null ? null : "p$page", $visit === 1 ? null : "v$visit"],
                            fn (?string $part): bool => $part !== null,
                        ),
                    );
                    if ($name !== '') {
                        $words = $language === null ? $this->usual : $spoken->language($language) ?? $this->usual;
                        $others[] = new Variant(
                            $name,
                            $page === null ? $this->brief : $briefs[$page],
                            $words,
                            $pageFirst && $language !== null ? Pieces::before($language, '-') : null,
                            $visit,
                            $page === null && $visit === 1 ? $language : null,
                        );
                    }
                }
            }
        }

        return $others;
    }
}
