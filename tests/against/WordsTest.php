<?php

declare(strict_types=1);

namespace Tests\against;

use App\Editions\Catalogues;
use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Text\Catalogue;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/**
 * Days, months, numbers, plural categories and the choice of a language against the Intl of Node.js (Unicode CLDR, ECMA-402), in every
 * language that widgets speak.
 */
final class WordsTest extends TestCase
{
    private const INSTANTS = [1_600_000_000, 1_764_590_400, 1_700_000_000, 1_711_900_000];

    /** Of four digits some languages part none by themselves, which ICU's messages do not know as yet. */
    private const NUMBERS = [0, 1, 2, 3, 5, 11, 21, 1.5, 4.6, 12345, 23456.7];

    private const TAGS = ['no', 'nn', 'nb-NO', 'zh', 'zh-CN', 'zh-SG', 'zh-TW', 'zh-HK', 'zh-MO', 'zh-Hant', 'zh-Hans', 'zh-Hant-HK', 'pt', 'pt-PT',
        'pt-BR', 'pt-AO', 'sr', 'sr-RS', 'sr-Latn', 'sr-Latn-RS', 'sr-Cyrl', 'sr-ME', 'de-CH', 'en-US', 'en-GB-oxendict', 'es-419', 'fr-CA', 'fa-AF',
        'ur-IN', 'ms-SG', 'ta-LK', 'bn-IN', 'x-other', 'tlh', 'vi-VN', 'ca-ES-valencia'];

    /** @return array<string, Catalogue> */
    private static function catalogues(): array
    {
        return app(Catalogues::class)->all();
    }

    /** @return array<string, mixed> */
    private static function reference(): array
    {
        $script = <<<'JS'
            const { locales, instants, numbers, tags } = JSON.parse(process.argv[1]);
            const told = {};
            for (const [language, locale] of Object.entries(locales)) {
              const days = new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' });
              const months = new Intl.DateTimeFormat(locale, { month: 'long', year: 'numeric', timeZone: 'UTC' });
              const rules = new Intl.PluralRules(locale);
              const written = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
              told[language] = {
                days: instants.map((at) => days.format(new Date(at * 1000))),
                months: instants.map((at) => months.format(new Date(at * 1000))),
                numbers: numbers.map((one) => written.format(one)),
                plurals: numbers.map((one) => rules.select(one)),
              };
            }
            // The same language in the same script, as CLDR adds what a tag leaves out; Norwegian has two names.
            const whole = (tag) => {
              try {
                const { language, script } = new Intl.Locale(tag).maximize();
                return `${language === 'no' || language === 'nn' ? 'nb' : language}-${script}`;
              } catch {
                return '';
              }
            };
            const chosen = tags.map((tag) => {
              const near = Object.keys(locales).filter((one) => whole(one) === whole(tag));
              const region = (one) => one && new Intl.Locale(one).maximize().region;
              return near.find((one) => one.toLowerCase() === tag.toLowerCase())
                ?? near.find((one) => region(locales[one]) === region(tag))
                ?? near.find((one) => one === tag.split('-')[0]) ?? near[0] ?? null;
            });
            console.log(JSON.stringify({ told, chosen }));
            JS;
        $asked = ['locales' => array_map(fn (Catalogue $one): string => $one->locale, self::catalogues()), 'instants' => self::INSTANTS,
            'numbers' => self::NUMBERS, 'tags' => self::TAGS];
        $process = new Process(['node', '-e', $script, (string) json_encode($asked)]);
        $process->mustRun();

        return json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    public function test_what_is_written_is_written_as_the_language_does(): void
    {
        self::assertGreaterThanOrEqual(44, count(self::catalogues()));
        $utc = new DateTimeZone('UTC');
        // Releases of CLDR differ in which blanks do not break.
        // And of Catalan: of which year, with an article or without.
        $plain = fn (string $text): string => (string) preg_replace(['/[\s\x{A0}\x{202F}\x{200E}\x{200F}]+/u', '/ del (?=2)/'], [' ', ' de '], $text);
        ['told' => $told, 'chosen' => $chosen] = self::reference();
        $wrong = [];
        foreach (self::catalogues() as $language => $catalogue) {
            foreach (self::INSTANTS as $index => $at) {
                $date = new DateTimeImmutable("@$at");
                foreach (['days' => $catalogue->day($date, $utc), 'months' => $catalogue->month($date, $utc)] as $what => $is) {
                    if ($plain($told[$language][$what][$index]) !== $plain($is)) {
                        $wrong[] = "$language: $is instead of {$told[$language][$what][$index]}";
                    }
                }
            }
            foreach (self::NUMBERS as $index => $number) {
                if ($plain($told[$language]['numbers'][$index]) !== $plain($catalogue->number($number))) {
                    $wrong[] = "$language: {$catalogue->number($number)} instead of {$told[$language]['numbers'][$index]}";
                }
                $said = \MessageFormatter::formatMessage($catalogue->locale, '{n, plural, zero {zero} one {one} two {two} few {few} many {many} '
                    .'other {other}}', ['n' => $number]);
                if ($said !== $told[$language]['plurals'][$index]) {
                    $wrong[] = "$language: $number is $said instead of {$told[$language]['plurals'][$index]}";
                }
            }
        }
        self::assertSame([], $wrong);
        $lookup = app(Catalogues::class)->lookup();
        foreach (self::TAGS as $index => $tag) {
            self::assertSame($chosen[$index], $lookup->language($tag), $tag);
        }
    }

    public function test_a_language_in_two_scripts_says_the_same(): void
    {
        [$cyrillic, $latin] = [self::catalogues()['sr'], self::catalogues()['sr-Latn']];
        self::assertSame('Приказане су још 3', $cyrillic->say('more.said', ['count' => 3]));
        self::assertSame('Prikazane su još 3', $latin->say('more.said', ['count' => 3]));
        foreach ($latin->messages() as $key => $message) {
            self::assertDoesNotMatchRegularExpression('/\p{Cyrillic}/u', $message, $key);
        }
    }
}
