<?php

declare(strict_types=1);

namespace Gnomic\Text;

use Locale;

/** Language tags as BCP 47 (RFC 5646) writes them. */
final class LanguageTag
{
    /** @var array<string, bool> whether ISO 639-1 has it, by two letters: asked of ICU once */
    private static array $known = [];

    /** RFC 5646 §2.1: language, script, region, variants, extensions, private use; grandfathered ones are passed over. */
    private const WELL_FORMED = '/^[a-z]{2,3}(?:-[a-z]{3}){0,3}(?:-[a-z]{4})?(?:-(?:[a-z]{2}|\d{3}))?(?:-(?:[a-z\d]{5,8}|\d[a-z\d]{3}))*'
        .'(?:-[a-wy-z\d](?:-[a-z\d]{2,8})+)*(?:-x(?:-[a-z\d]{1,8})+)?$/iD';

    /** As outsiders write it, also with low lines; null where it names no language, so that the words can tell. */
    public static function orNull(?string $written): ?string
    {
        $tag = strtr(trim((string) $written), '_', '-');

        return strtolower($tag) !== 'und' && self::isSensible($tag) ? $tag : null;
    }

    /** In English: "German", "Portuguese (Brazil)"; the tag itself where it has no name. */
    public static function named(string $tag): string
    {
        $name = Locale::getDisplayName($tag, 'en');

        return is_string($name) && $name !== '' ? $name : $tag;
    }

    /** Well formed, and of a language that ISO 639-1 has where it is named by two letters. */
    public static function isSensible(string $tag): bool
    {
        if (preg_match(self::WELL_FORMED, $tag) !== 1) {
            return false;
        }
        $language = strtolower(Pieces::before($tag, '-'));

        return strlen($language) === 3 || self::$known[$language] ??= Locale::getDisplayLanguage($language, 'en') !== $language;
    }
}
