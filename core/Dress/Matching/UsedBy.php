<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use Gnomic\Dress\Page\Declaration;
use Gnomic\Dress\Page\StyledPage;

/** Says where a value was decided, and how often the same custom property or value is used in the page's style sheets. */
final class UsedBy
{
    /** @var array<string, int> by what was asked after */
    private array $times = [];

    /** @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch */
    public function __construct(private readonly StyledPage $page, private readonly Closure $fetch)
    {
    }

    /** "--brand in site.css, line 12; used by 14 rules". */
    public function told(Declaration $declaration): string
    {
        $variable = preg_match('/var\(\s*(--[\w-]+)/', $declaration->value, $found) === 1 ? $found[1] : null;
        $value = mb_strimwidth($declaration->value, 0, 60, '…');
        $what = $variable ?? "$declaration->name: $value";
        $where = $declaration->line === null ? "in a $declaration->sheet" : "in $declaration->sheet, line $declaration->line";
        $times = $this->times($variable === null ? $declaration->value : $variable, $variable !== null);

        return "$what $where".($times > 1 ? "; used by $times rules" : '');
    }

    private function times(string $needle, bool $isVariable): int
    {
        if (strlen($needle) < 3) {
            return 0;
        }
        if (isset($this->times["$needle $isVariable"])) {
            return $this->times["$needle $isVariable"];
        }
        $pattern = '/var\(\s*'.preg_quote($needle, '/').'(?![\w-])/';
        $times = 0;
        foreach ($this->page->sheets() as $sheet) {
            $css = $sheet['href'] === null ? (string) $sheet['css'] : ($this->fetch)($sheet['href'])['css'] ?? '';
            $times += $isVariable ? (int) preg_match_all($pattern, $css) : substr_count($css, $needle);
        }

        return $this->times["$needle $isVariable"] = $times;
    }
}
