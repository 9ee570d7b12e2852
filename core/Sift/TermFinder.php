<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/**
 * Looks for many words at once: it walks the words of a text and asks of each which terms begin there, so that the time grows with
 * the text and hardly with the number of terms.
 */
final readonly class TermFinder
{
    /** @var array<string, list<string>> as written, by the word that they are whole */
    private array $single;

    /** @var array<string, list<array{list<string>, bool, string}>> words, whether the last may go on, as written; by their first word */
    private array $rows;

    /** @var array<int, array<string, list<string>>> as written, by the length in bytes of the beginning and by it */
    private array $beginnings;

    /** @param  array<string, Term>  $terms  by the word as it was written */
    public function __construct(public array $terms)
    {
        $single = $rows = $beginnings = [];
        foreach ($terms as $written => $term) {
            $written = (string) $written;
            $words = $term->words();
            match (true) {
                count($words) > 1 => $rows[$words[0]][] = [$words, $term->isBeginning, $written],
                $term->isBeginning => $beginnings[strlen($words[0])][$words[0]][] = $written,
                default => $single[$words[0]][] = $written,
            };
        }
        ksort($beginnings);
        [$this->single, $this->rows, $this->beginnings] = [$single, $rows, $beginnings];
    }

    /** @param  list<string>  $written */
    public static function of(array $written): self
    {
        return new self(Term::each($written));
    }

    public function isEmpty(): bool
    {
        return $this->terms === [];
    }

    /**
     * The first of the terms, in the order in which they were given, that a text says; null where it says none.
     *
     * @param  string  $line  of Tokens::line()
     */
    public function first(string $line): ?string
    {
        $said = $this->said($line);
        if ($said === []) {
            return null;
        }
        if (count($said) > 1) {
            foreach ($this->terms as $written => $term) {
                if (isset($said[$written])) {
                    return (string) $written;
                }
            }
        }

        return (string) array_key_first($said);
    }

    /** The first of the terms that a text does not say; null where it says all. @param  string  $line  of Tokens::line() */
    public function firstMissing(string $line): ?string
    {
        $said = $this->said($line);
        if (count($said) === count($this->terms)) {
            return null;
        }
        foreach ($this->terms as $written => $term) {
            if (! isset($said[$written])) {
                return (string) $written;
            }
        }

        return null;
    }

    /**
     * @param  string  $line  of Tokens::line()
     * @return array<array-key, true> the terms that it says, as keys
     */
    private function said(string $line): array
    {
        $said = [];
        if ($this->terms === [] || $line === '  ') {
            return $said;
        }
        $words = explode(' ', trim($line));
        foreach ($words as $at => $word) {
            foreach ($this->single[$word] ?? [] as $written) {
                $said[$written] = true;
            }
            foreach ($this->beginnings as $length => $terms) {
                if ($length > strlen($word)) {
                    break;
                }
                foreach ($terms[substr($word, 0, $length)] ?? [] as $written) {
                    $said[$written] = true;
                }
            }
            foreach ($this->rows[$word] ?? [] as [$row, $mayGoOn, $written]) {
                if (! isset($said[$written]) && self::stands($row, $mayGoOn, $words, $at)) {
                    $said[$written] = true;
                }
            }
        }

        return $said;
    }

    /**
     * @param  list<string>  $row
     * @param  list<string>  $words
     */
    private static function stands(array $row, bool $mayGoOn, array $words, int $at): bool
    {
        $last = count($row) - 1;
        for ($place = 1; $place <= $last; $place++) {
            $word = $words[$at + $place] ?? '';
            if ($word !== $row[$place] && ! ($mayGoOn && $place === $last && str_starts_with($word, $row[$place]))) {
                return false;
            }
        }

        return true;
    }
}
