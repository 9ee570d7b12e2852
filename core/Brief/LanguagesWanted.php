<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/** In which languages. */
final readonly class LanguagesWanted
{
    /**
     * @param  list<string>|null  $only  language ranges (RFC 4647): "en" is every English, "en-gb" the British one; null for all
     * @param  bool  $keepUnknown  whether entries pass whose language nobody knows
     * @param  bool  $pageFirst  whether entries in the language of the page come before the others
     */
    public function __construct(public ?array $only, public bool $keepUnknown, public bool $pageFirst)
    {
    }

    /** Null where it asks nothing. */
    public static function read(?Members $languages): ?self
    {
        if ($languages === null) {
            return null;
        }
        Fields::only($languages, ['only', 'unknown', 'pageFirst']);
        $unknown = $languages->stringOrNull('unknown') ?? 'drop';
        if (! in_array($unknown, ['keep', 'drop'], true)) {
            throw MemberIsWrong::at($languages->to('unknown'), '"keep" or "drop"', $unknown);
        }
        $only = Fields::textsOrNull($languages, 'only', 50, 35);
        foreach ($only ?? [] as $index => $range) {
            if (preg_match('/^[a-z]{1,8}(-[a-z0-9]{1,8})*$/i', $range) !== 1) {
                throw MemberIsWrong::at($languages->to('only')."/$index", 'a language such as "en" or "pt-BR" (BCP 47)', $range);
            }
        }
        $read = new self($only === [] ? null : $only, $unknown === 'keep', $languages->boolOr('pageFirst', false));

        return $read->only === null && ! $read->pageFirst ? null : $read;
    }

    /** Basic filtering of RFC 4647, section 3.3.1. */
    public static function covers(string $range, string $language): bool
    {
        $range = strtolower($range);

        return $language === $range || str_starts_with($language, "$range-");
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['only' => $this->only, 'unknown' => $this->keepUnknown ? 'keep' : 'drop', 'pageFirst' => $this->pageFirst];
    }
}
