<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

/** What a page calls its subject, as a name of a file: FNV-1a of 64 bits (Fowler, Noll, Vo) over the words in small letters. */
final class SubjectDigest
{
    public static function of(string $words): string
    {
        return hash('fnv1a64', mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $words))));
    }
}
