<?php

declare(strict_types=1);

namespace Gnomic\Gather\Language;

use Gnomic\Entry\Entry;

/**
 * Which language words are written in: by their script where only one language uses it, else by how often the
 * commonest groups of three letters occur (after Cavnar and Trenkle, N-Gram-Based Text Categorization, 1994). What is
 * too short, or too near to two languages, is unknown rather than a guess.
 */
final class Languages
{
    /** Scripts by their ranges, and the one language told by each; null where several use it. Kana come before Han. */
    private const SCRIPTS = [
        'Greek' => ['\p{Greek}', 'el'],
        'Kana' => ['\p{Hiragana}\p{Katakana}ー', 'ja'],
        'Hangul' => ['\p{Hangul}', 'ko'],
        'Han' => ['\p{Han}', 'zh'],
        'Hebrew' => ['\p{Hebrew}', 'he'],
        'Thai' => ['\p{Thai}', 'th'],
        'Armenian' => ['\p{Armenian}', 'hy'],
        'Georgian' => ['\p{Georgian}', 'ka'],
        'Bengali' => ['\p{Bengali}', 'bn'],
        'Tamil' => ['\p{Tamil}', 'ta'],
        'Telugu' => ['\p{Telugu}', 'te'],
        'Gujarati' => ['\p{Gujarati}', 'gu'],
        'Gurmukhi' => ['\p{Gurmukhi}', 'pa'],
        'Kannada' => ['\p{Kannada}', 'kn'],
        'Malayalam' => ['\p{Malayalam}', 'ml'],
        'Khmer' => ['\p{Khmer}', 'km'],
        'Lao' => ['\p{Lao}', 'lo'],
        'Sinhala' => ['\p{Sinhala}', 'si'],
        'Ethiopic' => ['\p{Ethiopic}', 'am'],
        'Myanmar' => ['\p{Myanmar}', 'my'],
        'Latin' => ['\p{Latin}', null],
        'Cyrillic' => ['\p{Cyrillic}', null],
        'Arabic' => ['\p{Arabic}', null],
        'Devanagari' => ['\p{Devanagari}', null],
    ];

    /** Letters that only some alphabets have, and whose. */
    private const LETTERS = [
        'ы' => ['ru', 'be'],
        'э' => ['ru', 'be'],
        'ё' => ['ru', 'be'],
        'щ' => ['ru', 'uk', 'bg'],
        'ъ' => ['ru', 'bg'],
        'і' => ['uk', 'be'],
        'ї' => ['uk'],
        'є' => ['uk'],
        'ў' => ['be'],
        'ј' => ['sr', 'mk'],
        'љ' => ['sr', 'mk'],
        'њ' => ['sr', 'mk'],
        'ђ' => ['sr'],
        'ћ' => ['sr'],
        'ѓ' => ['mk'],
        'ќ' => ['mk'],
        'ѕ' => ['mk'],
        'پ' => ['fa', 'ur'],
        'چ' => ['fa', 'ur'],
        'گ' => ['fa', 'ur'],
        'ک' => ['fa', 'ur'],
        'ی' => ['fa', 'ur'],
        'ٹ' => ['ur'],
        'ڈ' => ['ur'],
        'ے' => ['ur'],
        'ں' => ['ur'],
        'ہ' => ['ur'],
        'ة' => ['ar'],
        'ى' => ['ar'],
        'ß' => ['de'],
        'ñ' => ['es'],
        'ã' => ['pt', 'vi'],
        'õ' => ['pt', 'et', 'vi'],
        'ő' => ['hu'],
        'ű' => ['hu'],
        'ł' => ['pl'],
        'ż' => ['pl'],
        'ś' => ['pl'],
        'ř' => ['cs'],
        'ů' => ['cs'],
        'ě' => ['cs'],
        'ľ' => ['sk'],
        'ô' => ['sk', 'fr', 'pt', 'vi'],
        'ș' => ['ro'],
        'ț' => ['ro'],
        'ğ' => ['tr'],
        'ı' => ['tr'],
        'å' => ['sv', 'da', 'nb', 'fi'],
        'ø' => ['da', 'nb'],
        'æ' => ['da', 'nb'],
        'ā' => ['lv'],
        'ē' => ['lv'],
        'ė' => ['lt'],
        'ų' => ['lt'],
        'ć' => ['hr', 'pl'],
        'đ' => ['hr', 'vi'],
        'ơ' => ['vi'],
        'ư' => ['vi'],
    ];

    /** Characters of a text that are looked at: more change nothing. */
    private const MOST = 240;

    /** What a character says, in letters of an alphabet: a Latin name among a few Han makes no Latin text. */
    private const OF_A_LETTER = ['Kana' => 3, 'Han' => 3, 'Hangul' => 3];

    /** As letters: three kana and more are no ornament. */
    private const SOME_KANA = 9;

    /** Letters after which a clear lead is believed. */
    private const ENOUGH = 70;

    /** Letters below which a script that several languages use tells nothing. */
    private const LEAST = 26;

    /** @var array<string, array<string, array<string, float>>>|null weight of a trigram for a language, by script and trigram */
    private static ?array $weights = null;

    /** The entry with its language found, where its source named none. */
    public static function filled(Entry $entry): Entry
    {
        if ($entry->language !== null) {
            return $entry;
        }

        return $entry->with(language: self::of($entry->text === '' ? (string) $entry->title : $entry->text));
    }

    /** @return string|null a BCP 47 tag; null where the words do not tell */
    public static function of(string $text): ?string
    {
        $text = mb_strimwidth($text, 0, self::MOST, '', 'UTF-8');
        if (strpbrk($text, '@#/') !== false) {
            $text = (string) preg_replace('~https?://\S+|[@#]\S+|\S+@\S+~u', ' ', $text);
        }
        $script = self::scriptOf($text);
        if ($script === null) {
            return null;
        }

        return self::SCRIPTS[$script][1] ?? self::byTrigrams($text, $script);
    }

    private static function scriptOf(string $text): ?string
    {
        // Words in ASCII alone are the usual case.
        if (preg_match('/[^\x00-\x7F]/', $text) !== 1) {
            return preg_match('/[a-z]/i', $text) === 1 ? 'Latin' : null;
        }
        $counts = [];
        $letters = 0;
        foreach (self::SCRIPTS as $script => [$range]) {
            $count = (int) preg_match_all("/[$range]/u", $text);
            if ($count > 0) {
                $counts[$script] = $count * (self::OF_A_LETTER[$script] ?? 1);
                $letters += $count;
            }
        }
        if ($letters < 2) {
            return null;
        }
        // Japanese mixes both, and no Chinese text has more than the odd kana: they decide, however few among many Han.
        $kana = $counts['Kana'] ?? 0;
        if (isset($counts['Han']) && ($kana >= self::SOME_KANA || $counts['Han'] <= $kana * 20)) {
            $counts['Kana'] = $kana + $counts['Han'];
        }
        arsort($counts);

        return array_key_first($counts);
    }

    private static function byTrigrams(string $text, string $script): ?string
    {
        $clean = ' '.trim((string) preg_replace('/[^\p{L}\p{M}\']+/u', ' ', mb_strtolower($text))).' ';
        $letters = mb_str_split($clean);
        $count = count($letters);
        if ($count < self::LEAST) {
            return null;
        }
        $weights = self::weights()[$script] ?? [];
        $scores = array_fill_keys(array_keys(TrigramProfiles::BY_SCRIPT[$script]), 0.0);
        $seen = 0;
        [$first, $second] = $letters;
        for ($at = 2; $at < $count; $at++) {
            if ($at === self::ENOUGH && $seen > 30) {
                $ranked = $scores;
                rsort($ranked);
                if ($ranked[1] < $ranked[0] * 0.8) {
                    $count = $at; // as clear as this, the rest changes nothing
                    break;
                }
            }
            $third = $letters[$at];
            $trigram = $first.$second.$third;
            [$first, $second] = [$second, $third];
            if (isset($weights[$trigram])) {
                $seen++;
                foreach ($weights[$trigram] as $language => $weight) {
                    $scores[$language] += $weight;
                }
            }
        }
        $times = array_count_values($letters);
        foreach (array_intersect_key(self::LETTERS, $times) as $letter => $whose) {
            foreach (array_diff(array_keys($scores), $whose) as $other) {
                $scores[$other] *= 0.92 ** min(4, $times[$letter]);
            }
        }
        arsort($scores);
        $best = array_key_first($scores);
        // Words that hardly share a trigram with any language are names, or of a language not told apart here.
        if ($seen === 0 || $seen < ($count - 2) * 0.35) {
            return null;
        }
        $next = array_values($scores)[1] ?? 0.0;

        return $scores[$best] - $next >= $scores[$best] * self::margin($count) ? $best : null;
    }

    /** How far the best has to be ahead of the next, as a share of it: the shorter a text, the farther. */
    private static function margin(int $letters): float
    {
        return match (true) {
            $letters < 30 => 0.2,
            $letters < 50 => 0.12,
            $letters < 100 => 0.05,
            default => 0.0,
        };
    }

    /** @return array<string, array<string, array<string, float>>> */
    private static function weights(): array
    {
        if (self::$weights !== null) {
            return self::$weights;
        }
        $weights = [];
        foreach (TrigramProfiles::BY_SCRIPT as $script => $languages) {
            $raw = [];
            foreach ($languages as $language => $trigrams) {
                foreach (explode('|', $trigrams) as $rank => $trigram) {
                    $raw[$trigram][$language] = 1.0 - 0.85 * $rank / 300;
                }
            }
            // What many languages share tells little.
            foreach ($raw as $trigram => $found) {
                $weights[$script][$trigram] = array_map(fn (float $weight): float => $weight / count($found) ** 0.4, $found);
            }
        }

        return self::$weights = $weights;
    }
}
