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
    /**
     * Scripts by their ranges ("sc:": a letter's own script; without it, marks that scripts share would count as each), and the one
     * language told by each; null where several use it. Kana come before Han.
     */
    private const SCRIPTS = [
        'Greek' => ['\p{sc:Greek}', 'el'],
        'Kana' => ['\p{sc:Hiragana}\p{sc:Katakana}ー', 'ja'],
        'Hangul' => ['\p{sc:Hangul}', 'ko'],
        'Han' => ['\p{sc:Han}', 'zh'],
        'Hebrew' => ['\p{sc:Hebrew}', 'he'],
        'Thai' => ['\p{sc:Thai}', 'th'],
        'Armenian' => ['\p{sc:Armenian}', 'hy'],
        'Georgian' => ['\p{sc:Georgian}', 'ka'],
        'Bengali' => ['\p{sc:Bengali}', 'bn'],
        'Tamil' => ['\p{sc:Tamil}', 'ta'],
        'Telugu' => ['\p{sc:Telugu}', 'te'],
        'Gujarati' => ['\p{sc:Gujarati}', 'gu'],
        'Gurmukhi' => ['\p{sc:Gurmukhi}', 'pa'],
        'Kannada' => ['\p{sc:Kannada}', 'kn'],
        'Malayalam' => ['\p{sc:Malayalam}', 'ml'],
        'Khmer' => ['\p{sc:Khmer}', 'km'],
        'Lao' => ['\p{sc:Lao}', 'lo'],
        'Sinhala' => ['\p{sc:Sinhala}', 'si'],
        'Ethiopic' => ['\p{sc:Ethiopic}', 'am'],
        'Myanmar' => ['\p{sc:Myanmar}', 'my'],
        'Latin' => ['\p{sc:Latin}', null],
        'Cyrillic' => ['\p{sc:Cyrillic}', null],
        'Arabic' => ['\p{sc:Arabic}', null],
        'Devanagari' => ['\p{sc:Devanagari}', null],
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

    /** Letters that an alphabet has: those of Latin ones beside a to z. What has others is hardly of that language. */
    private const ALPHABETS = [
        'en' => 'é', 'de' => 'äöüßé', 'fr' => 'àâæçéèêëîïôœùûüÿ', 'es' => 'áéíñóúü', 'it' => 'àèéìîòù', 'nl' => 'ëïéèöüá',
        'pt' => 'ãáàâçéêíóôõúü', 'sv' => 'åäöé', 'da' => 'æøåé', 'nb' => 'æøåéòôó', 'pl' => 'ąćęłńóśźż', 'cs' => 'áčďéěíňóřšťúůýž',
        'sk' => 'áäčďéíĺľňóôŕšťúýž',
        'hu' => 'áéíóöőúüű', 'ro' => 'ăâîșşțţ', 'fi' => 'äöåšž', 'tr' => 'çğıöşüâîû', 'hr' => 'čćđšž', 'sl' => 'čšž', 'et' => 'äöõüšž',
        'lv' => 'āčēģīķļņšūž', 'lt' => 'ąčęėįšųūž', 'ca' => 'àçéèíïóòúü', 'id' => 'é',
        'ru' => 'абвгдеёжзийклмнопрстуфхцчшщъыьэюя', 'uk' => 'абвгґдеєжзиіїйклмнопрстуфхцчшщьюя',
        'be' => 'абвгдеёжзійклмнопрстуўфхцчшыьэюя', 'bg' => 'абвгдежзийклмнопрстуфхцчшщъьюяѝ',
        'mk' => 'абвгдѓежзѕијклљмнњопрстќуфхцчџшѐѝ', 'sr' => 'абвгдђежзијклљмнњопрстћуфхцчџш',
    ];

    /** Han as Japan alone writes them: of a text without kana, they tell. */
    private const JAPANESE_HAN = '気円駅図広売読伝実楽戦験発変応覚価県経検権総続択団徳弾鉄転闘働悩脳払仏辺満訳薬様両緑労録込帰歩黒毎絵'
        .'説済収焼乗畳処専銭捜巣騒増蔵対滝沢単遅庁聴関囲営栄桜仮拡渓継撃顕剣険厳恵軽雑賛歯児釈従縦塩';

    /** Characters of a text that are looked at: more change nothing. */
    private const MOST = 240;

    /** What a character says, in letters of an alphabet: a Latin name among a few Han makes no Latin text. */
    private const OF_A_LETTER = ['Kana' => 3, 'Han' => 3, 'Hangul' => 3];

    /** As letters: three kana and more are no ornament. */
    private const SOME_KANA = 9;

    /** Letters after which a clear lead is believed. */
    private const ENOUGH = 70;

    /** Letters from which on groups of letters are enough. */
    private const LONG = 100;

    /** Common words of one language alone, by which they decide. */
    private const SURE = 1.5;

    /** Letters below which a script that several languages use tells nothing. */
    private const LEAST = 20;

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
        $script = array_key_first($counts);
        $isJapanese = $script === 'Han' && preg_match('/['.self::JAPANESE_HAN.']/u', $text) === 1;

        return $isJapanese ? 'Kana' : $script;
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
        $isClear = false;
        [$first, $second] = $letters;
        for ($at = 2; $at < $count; $at++) {
            if ($at === self::ENOUGH && $seen > 30) {
                $ranked = $scores;
                rsort($ranked);
                if ($ranked[1] < $ranked[0] * 0.8) {
                    $isClear = true; // the rest changes nothing
                    $count = $at;
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
        // Words of other languages are borrowed: one letter says little yet.
        foreach (array_keys($scores) as $language) {
            $strange = isset(self::ALPHABETS[$language]) ? preg_match_all('/[^a-z\' '.self::ALPHABETS[$language].']/u', $clean) : 0;
            $scores[$language] *= ($script === 'Latin' ? 0.7 : 0.4) ** min(4, (int) $strange);
        }
        foreach (array_intersect_key(self::LETTERS, $times) as $letter => $whose) {
            foreach (array_diff(array_keys($scores), $whose) as $other) {
                $scores[$other] *= 0.92 ** min(4, $times[$letter]);
            }
        }
        arsort($scores);
        // Words that hardly share a trigram with any language are names, or of a language not told apart here.
        $isStrange = $seen === 0 || $seen < ($count - 2) * 0.35;
        $words = preg_split('/[^\p{L}\p{M}\']+/u', $clean, -1, PREG_SPLIT_NO_EMPTY);
        if ($isClear || $count >= self::LONG || $words === false) {
            return $isStrange ? null : (string) array_key_first($scores);
        }

        return self::ofShort($scores, CommonWords::speakFor($words, array_keys($scores)), $count, $isStrange);
    }

    /**
     * Of a short text, groups of letters alone tell too little: the commonest words of the language have to say the same, or the groups
     * have to be very clear.
     *
     * @param  non-empty-array<string, float>  $scores  by language, the highest first
     * @param  array<string, float>  $words  by language
     */
    private static function ofShort(array $scores, array $words, int $letters, bool $isStrange): ?string
    {
        arsort($words);
        [$best, $named] = [(string) array_key_first($scores), (string) array_key_first($words)];
        [$lead, $ahead] = [self::lead($scores), array_values($words)[0] - (array_values($words)[1] ?? 0.0)];
        if ($best === $named && $ahead > 0.0) {
            return $isStrange || $lead < self::margin($letters) * (1 - min(1.0, $ahead) * 0.7) ? ($ahead >= self::SURE
                ? $best : null) : $best;
        }
        if ($ahead >= self::SURE && $scores[$named] >= $scores[$best] * 0.6) {
            return $named;
        }

        return ! $isStrange && $words[$best] >= $words[$named] && $lead >= self::margin($letters) * 2 ? $best : null;
    }

    /** @param  non-empty-array<string, float>  $scores  the highest first  @return float how far the first is ahead, as a share of it */
    private static function lead(array $scores): float
    {
        [$first, $second] = [array_values($scores)[0], array_values($scores)[1] ?? 0.0];

        return $first > 0.0 ? ($first - $second) / $first : 0.0;
    }

    /** How far the best has to be ahead of the next, as a share of it: the shorter a text, the farther. */
    private static function margin(int $letters): float
    {
        return match (true) {
            $letters < 30 => 0.2,
            $letters < 50 => 0.12,
            default => 0.05,
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
