<?php

declare(strict_types=1);

namespace Tests\against;

use App\Editions\Catalogues;
use MessageFormatter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Plurals of every language against Unicode CLDR, as npm cldr-core ships it. */
final class PluralsTest extends TestCase
{
    private const FEWEST = 44;

    /** @return iterable<string, array{string}> */
    public static function languages(): iterable
    {
        foreach (glob(dirname(__DIR__, 2).'/resources/words/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [basename($file, '.json')];
        }
    }

    public function test_there_are_languages_enough_and_some_are_written_from_right_to_left(): void
    {
        $languages = array_keys(iterator_to_array(self::languages()));
        self::assertGreaterThanOrEqual(self::FEWEST, count($languages));
        self::assertSame(['ar', 'fa', 'he', 'ur'], array_values(array_intersect($languages, ['ar', 'fa', 'he', 'ur'])));
    }

    /** @return array<string, string> the rules of a locale: examples by category */
    private static function rules(string $locale): array
    {
        /** @var array<string, array<string, string>>|null $all */
        static $all = null;
        $all ??= json_decode((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/cldr-core/supplemental/plurals.json'), true,
            flags: JSON_THROW_ON_ERROR)['supplemental']['plurals-type-cardinal'];
        $found = $all[$locale] ?? $all[explode('-', $locale)[0]];
        $rules = [];
        foreach ($found as $name => $rule) {
            $rules[str_replace('pluralRule-count-', '', $name)] = $rule;
        }

        return $rules;
    }

    #[DataProvider('languages')]
    public function test_every_plural_has_the_categories_of_its_language(string $language): void
    {
        $catalogue = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/resources/words/$language.json"), true);
        $categories = array_keys(self::rules($catalogue['locale']));
        foreach ($catalogue['messages'] as $key => $message) {
            preg_match_all('/\{(\w+), plural,((?:\s*(?:=\d+|\w+)\s*\{(?:[^{}]|\{[^{}]*\})*\})+)\s*\}/', $message, $plurals, PREG_SET_ORDER);
            self::assertCount(substr_count($message, ', plural,'), $plurals, $key);
            foreach ($plurals as [, $argument, $branches]) {
                preg_match_all('/(=\d+|\w+)\s*\{(?:[^{}]|\{[^{}]*\})*\}/', $branches, $found);
                foreach ($categories as $category) {
                    // What is one and nothing else may be named by its number.
                    $isThere = in_array($category, $found[1], true) || ($category === 'one' && in_array('=1', $found[1], true));
                    self::assertTrue($isThere, "$key of $language has no \"$category\" of $argument");
                }
                self::assertSame([], array_filter(
                    $found[1],
                    fn (string $one): bool => $one[0] !== '=' && ! in_array($one, $categories, true),
                ), "$key of $language");
            }
        }
    }

    #[DataProvider('languages')]
    public function test_each_number_is_said_in_its_category(string $language): void
    {
        $words = (new Catalogues(dirname(__DIR__, 2).'/resources/words'))->of($language);
        $probe = '{n, plural, '.implode(' ', array_map(
            fn (string $category): string => "$category {{$category}}",
            array_keys(self::rules($words->locale)),
        )).'}';
        foreach (self::rules($words->locale) as $category => $rule) {
            preg_match('/@integer (\d+)/', $rule, $example);
            if ($example === []) {
                continue;
            }
            self::assertSame($category, MessageFormatter::formatMessage($words->locale, $probe, ['n' => (int) $example[1]]));
            $said = $words->say('card.comments', ['count' => (int) $example[1]]);
            self::assertNotSame('', trim($said));
        }
    }
}
