<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Text\Tokens;

/** A word, or several in a row, that is looked for; with a star at its end, every word that begins so. */
final readonly class Term
{
    /** @param  non-empty-string  $words  tokens with blanks between them */
    private function __construct(private string $words, public bool $isBeginning)
    {
    }

    /** Null where there is no letter and no number to look for. */
    public static function tryFrom(string $written): ?self
    {
        $words = implode(' ', Tokens::of($written));

        // Marks of scripts without blanks stand alone too, and are no word by themselves.
        return $words === '' || preg_match('/[\p{L}\p{N}]/u', $words) !== 1 ? null : new self($words, str_ends_with(rtrim($written), '*'));
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

    /** @return non-empty-list<string> one, or several in a row */
    public function words(): array
    {
        return explode(' ', $this->words);
    }

    /** The same for an index of FTS5 over Tokens::inAscii(). */
    public function query(): string
    {
        return '"'.Tokens::inAscii($this->words).'"'.($this->isBeginning ? ' *' : '');
    }
}
