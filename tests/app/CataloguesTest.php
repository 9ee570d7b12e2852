<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\Catalogues;
use MessageFormatter;
use NumberFormatter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The words for visitors: every language says everything, with the same arguments, and nothing is said that nobody asks for. */
final class CataloguesTest extends TestCase
{
    /** @return array{locale: string, messages: array<string, string>} */
    private static function file(string $language): array
    {
        $catalogue = (new Catalogues(dirname(__DIR__, 2).'/resources/words'))->all()[$language];

        return ['locale' => $catalogue->locale, 'messages' => $catalogue->messages()];
    }

    /** @return iterable<string, array{string}> */
    public static function languages(): iterable
    {
        foreach (array_keys((new Catalogues(dirname(__DIR__, 2).'/resources/words'))->all()) as $language) {
            yield $language => [$language];
        }
    }

    /** @return list<string> names of the arguments of a message, in ICU's form */
    private static function arguments(string $message): array
    {
        // Besides the branches of a plural, which name none, "{" is followed by a name and "," or "}".
        preg_match_all('/\{(\w+)\s*[,}]/', (string) preg_replace('/\b(?:highest|lowest|liked|longest|other)\s*\{\w+\}|(=\d+|zero|one|two|few|many|other)\s*\{\}/u', '', $message), $found);
        $names = array_values(array_unique($found[1]));
        sort($names);

        return $names;
    }

    /**
     * What a message tells: a number and the same number spelled are one.
     *
     * @return list<string>
     */
    private static function quantities(string $message): array
    {
        $same = ['from' => 'least', 'to' => 'most', 'places' => 'sources'];

        return array_values(array_unique(array_map(fn (string $name): string => $same[$name] ?? $name, self::arguments($message))));
    }

    #[DataProvider('languages')]
    public function test_a_language_says_all_that_english_says_with_the_same_arguments(string $language): void
    {
        $english = self::file('en')['messages'];
        $messages = self::file($language)['messages'];
        self::assertSame(array_keys($english), array_keys($messages), 'all of them, in the same order');
        foreach ($messages as $key => $message) {
            self::assertNotSame('', $message === ' ' ? '' : $message, $key);
            $formatter = MessageFormatter::create(self::file($language)['locale'], $message);
            self::assertNotNull($formatter, "$key of $language is no message in ICU's form");
            self::assertEqualsCanonicalizing(
                self::quantities($english[$key]),
                self::quantities($message),
                "$key of $language",
            );
        }
    }

    public function test_what_is_asked_for_is_there_and_what_is_there_is_asked_for(): void
    {
        $asked = '';
        foreach (['core', 'app', 'resources/widget'] as $folder) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$folder")) as $file) {
                if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                    $asked .= file_get_contents($file->getPathname());
                }
            }
        }
        preg_match_all('/[\'"]((?:widget|list|figures|rating|card|carousel|honest|everything|action|account|ticker|notices|more|large|choose|faces)\.(?!html|blade)\w+)[\'"]/', $asked, $keys);
        self::assertEqualsCanonicalizing(array_keys(self::file('en')['messages']), array_values(array_unique($keys[1])));
    }

    #[DataProvider('languages')]
    public function test_months_numbers_and_plurals_are_those_of_the_language(string $language): void
    {
        $words = (new Catalogues(dirname(__DIR__, 2).'/resources/words'))->of($language);
        // Unicode CLDR, by ICU.
        $number = (string) NumberFormatter::create(self::file($language)['locale'], NumberFormatter::DECIMAL)->format(1234);
        self::assertStringContainsString($number, $words->say('figures.base', ['count' => 1234, 'sources' => 0, 'places' => '']));
        // The same as its charts of plurals and numbers have it.
        [$one, $many] = [
            'en' => ['from 1 rating', 'from 1,234 ratings'],
            'de' => ['aus 1 Bewertung', 'aus 1.234 Bewertungen'],
        ][$language] ?? ['', ''];
        if ($one !== '' && $many !== '') {
            self::assertStringStartsWith($one, $words->say('figures.base', ['count' => 1, 'sources' => 0, 'places' => '']));
            self::assertStringStartsWith($many, $words->say('figures.base', ['count' => 1234, 'sources' => 0, 'places' => '']));
        }
    }
}
