<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use IntlBreakIterator;

/** Words made shorter, never inside a character and not inside a word where a word's end is near. */
final readonly class Shortening
{
    private function __construct(public string $text, public bool $isShortened)
    {
    }

    /**
     * @param  int|null  $most  characters as readers count them (grapheme clusters, UAX #29); null: never shortened.
     *                          A text longer by less than a fifth stays whole: what "read more" hides should be worth it.
     */
    public static function to(?int $most, string $text): self
    {
        $text = trim($text);
        if ($most === null || (int) grapheme_strlen($text) <= $most * 1.2) {
            return new self($text, false);
        }
        $cut = (string) grapheme_substr($text, 0, $most);
        $end = self::lastWordEnd($text, strlen($cut));
        // Scripts without blanks, and endless words, may have no word's end near: then the character's edge will do.
        if ($end > strlen($cut) * 0.7) {
            $cut = substr($text, 0, $end);
        }

        return new self((string) preg_replace('/[\s\p{Pd}\p{Ps},;:]+$/u', '', $cut), true);
    }

    /** Whether an ellipsis ends it already. */
    public function endsOpen(): bool
    {
        return preg_match('/(?:…|\.\.\.)$/u', $this->text) === 1;
    }

    /** Bytes up to the last boundary of words (UAX #29) at or before an offset in bytes. */
    private static function lastWordEnd(string $text, int $offset): int
    {
        $words = IntlBreakIterator::createWordInstance('');
        if ($words === null) {
            return 0;
        }
        $words->setText($text);

        return $words->isBoundary($offset) ? $offset : max(0, $words->preceding($offset));
    }
}
