<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\LanguagesWanted;
use Gnomic\Brief\Numbers;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;
use Locale;

/** Entries in the languages that the brief names, by basic filtering (RFC 4647, section 3.3.1). */
final readonly class InLanguages implements OfAlike
{
    /** @param  list<string>  $only  ranges */
    public function __construct(private array $only, private bool $keepUnknown)
    {
    }

    public function key(): string
    {
        return 'languages';
    }

    public function phrase(): string
    {
        $names = array_map(self::named(...), $this->only);

        return 'in '.(count($names) > 3 ? Numbers::counted(count($names), 'language') : implode(' or ', $names)).($this->keepUnknown ? ' or an unknown language' : '');
    }

    public function keeps(Facts $entry): bool
    {
        if ($entry->language === null) {
            return $this->keepUnknown;
        }
        foreach ($this->only as $range) {
            if (LanguagesWanted::covers($range, $entry->language)) {
                return true;
            }
        }

        return false;
    }

    public function reason(Facts $entry): string
    {
        return ($entry->language === null ? 'Nobody knows its language' : 'It is in '.self::named($entry->language)).', the brief wants those '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        $any = self::of($this->only);

        return new Condition("(CASE WHEN language IS NULL THEN ? ELSE $any->sql END)", [$this->keepUnknown ? 1 : 0, ...$any->bindings]);
    }

    /** @param  list<string>  $ranges */
    public static function of(array $ranges): Condition
    {
        $sql = implode(' OR ', array_fill(0, count($ranges), 'language = ? OR SUBSTR(language, 1, ?) = ?'));
        $bindings = [];
        foreach ($ranges as $range) {
            $range = strtolower($range);
            array_push($bindings, $range, strlen($range) + 1, "$range-");
        }

        return new Condition("($sql)", $bindings);
    }

    /** "German", "Brazilian Portuguese"; the tag itself where it has no name. */
    public static function named(string $language): string
    {
        return (string) Locale::getDisplayName($language, 'en') ?: $language;
    }
}
