<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Text\Tokens;

/** A word, or several in a row, that is looked for; with a star at its end, every word that begins so. */
final readonly class Term
{
    /** @param  non-empty-string  $words  tokens with blanks between them */
    private function __construct(private string $words, private bool $isBeginning)
    {
    }

    /** Null where there is no letter and no number to look for. */
    public static function tryFrom(string $written): ?self
    {
        $words = implode(' ', Tokens::of($written));

        return $words === '' ? null : new self($words, str_ends_with(rtrim($written), '*'));
    }

    /**
     * @param  list<string>  $written
     * @return array<string, self> by the word as it was written; words with nothing to look for are left out
     */
    public static function each(array $written): array
    {
        $terms = [];
        foreach ($written as $word) {
            $term = self::tryFrom($word);
            if ($term !== null) {
                $terms[$word] = $term;
            }
        }

        return $terms;
    }

    /** @param  string  $line  of Tokens::line() */
    public function isIn(string $line): bool
    {
        return str_contains($line, $this->isBeginning ? " $this->words" : " $this->words ");
    }

    /** The same for an index of FTS5 over Tokens::inAscii(). */
    public function query(): string
    {
        return '"'.Tokens::inAscii($this->words).'"'.($this->isBeginning ? ' *' : '');
    }
}
