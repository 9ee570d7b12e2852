<?php

declare(strict_types=1);

namespace App\Editions;

/** Words as HTML, with line breaks, and those marked that the owner wants to be seen. */
final readonly class MarkedWords
{
    private ?string $pattern;

    /** @param  list<string>  $marked */
    public function __construct(array $marked)
    {
        // Of two that begin alike, the longer is meant.
        usort($marked, fn (string $one, string $other): int => strlen($other) <=> strlen($one));
        $words = implode('|', array_map(fn (string $word): string => preg_quote(trim($word), '~'), $marked));
        $this->pattern = $words === '' ? null : "~(?<![\\p{L}\\p{N}])($words)(?![\\p{L}\\p{N}])~iu";
    }

    public function html(string $text): string
    {
        $pieces = $this->pattern === null ? false : preg_split($this->pattern, $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        if ($pieces === false) {
            return nl2br(e($text), false);
        }
        $html = '';
        foreach ($pieces as $at => $piece) {
            $html .= $at % 2 === 1 ? '<mark class="key">'.e($piece).'</mark>' : nl2br(e($piece), false);
        }

        return $html;
    }
}
