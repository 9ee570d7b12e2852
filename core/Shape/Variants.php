<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\Order;
use Gnomic\Brief\Shuffle;

/**
 * What a widget shows differently from page to page or from visit to visit, made ahead: by the language of the page, by
 * its labels, and in some orders of which each visit gets one. Visitors get files; nothing is computed for them.
 */
final readonly class Variants
{
    private const MOST_LANGUAGES = 8;

    private const MOST_VISITS = 12;

    /** All of them together. */
    private const MOST = 48;

    /**
     * @param  list<string>  $languages  primary subtags
     * @param  int  $visits  orders made ahead
     * @param  list<string>  $pages  patterns of paths
     */
    private function __construct(private Brief $brief, public array $languages, public int $visits, public array $pages)
    {
    }

    /** @param  list<string>  $languages  of the entries, the most frequent first */
    public static function of(Brief $brief, array $languages): self
    {
        $languages = $brief->languages?->pageFirst === true ? array_slice($languages, 0, self::MOST_LANGUAGES) : [];
        $pages = array_slice(array_column($brief->labels->byPage ?? [], 'page'), 0, intdiv(self::MOST, count($languages) + 1) - 1);
        $each = (count($languages) + 1) * (count($pages) + 1);
        $visits = $brief->order === Order::Shuffled && $brief->shuffle === Shuffle::Visit ? max(2, min(self::MOST_VISITS, intdiv(self::MOST, $each))) : 1;

        return new self($brief, $languages, $visits, $pages);
    }

    /** For the element on the page, which chooses one; null where there is nothing to choose. */
    public function manifest(): ?string
    {
        return $this->languages === [] && $this->visits === 1 && $this->pages === [] ? null
            : json_encode(['languages' => $this->languages, 'visits' => $this->visits, 'pages' => $this->pages], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /**
     * All but the usual one, by name: "de", "v2", "p0", "de.p0.v2".
     *
     * @return iterable<string, array{brief: Brief, language: string|null, visit: int}>
     */
    public function each(): iterable
    {
        foreach ([null, ...$this->languages] as $language) {
            foreach ([null, ...array_keys($this->pages)] as $page) {
                for ($visit = 1; $visit <= $this->visits; $visit++) {
                    $name = implode('.', array_filter([$language, $page === null ? null : "p$page", $visit === 1 ? null : "v$visit"]));
                    if ($name !== '') {
                        yield $name => ['brief' => $page === null ? $this->brief : $this->withLabelsOf($page), 'language' => $language, 'visit' => $visit];
                    }
                }
            }
        }
    }

    private function withLabelsOf(int $page): Brief
    {
        $json = $this->brief->toArray();
        $labels = $this->brief->labels?->byPage[$page]['labels'];
        $json['sift'] = ['labels' => $labels?->toArray()] + (is_array($json['sift']) ? $json['sift'] : []);

        return BriefReader::read($json);
    }
}
