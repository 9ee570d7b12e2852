<?php

declare(strict_types=1);

namespace Gnomic\Text;

use UConverter;

/** Bytes to UTF-8: the byte order mark first, then what was declared, then what the bytes themselves show. */
final readonly class Charset
{
    private const MARKS = [
        "\xEF\xBB\xBF" => 'UTF-8',
        "\xFF\xFE\x00\x00" => 'UTF-32LE',
        "\x00\x00\xFE\xFF" => 'UTF-32BE',
        "\xFF\xFE" => 'UTF-16LE',
        "\xFE\xFF" => 'UTF-16BE',
    ];

    /** Ways of writing bytes that PHP lists among the encodings. */
    private const NO_CHARSETS = ['BASE64', 'UUENCODE', 'HTML-ENTITIES', 'Quoted-Printable', '7bit', '8bit'];

    /** Encodings of the WHATWG's Encoding standard that mbstring has not and ICU has; by the name that declares them. */
    private const OF_ICU = [
        'windows-1250' => 'windows-1250', 'cp1250' => 'windows-1250', 'x-cp1250' => 'windows-1250',
        'windows-1253' => 'windows-1253', 'cp1253' => 'windows-1253', 'x-cp1253' => 'windows-1253',
        'windows-1255' => 'windows-1255', 'cp1255' => 'windows-1255', 'x-cp1255' => 'windows-1255',
        'windows-1256' => 'windows-1256', 'cp1256' => 'windows-1256', 'x-cp1256' => 'windows-1256',
        'windows-1257' => 'windows-1257', 'cp1257' => 'windows-1257', 'x-cp1257' => 'windows-1257',
        'windows-1258' => 'windows-1258', 'cp1258' => 'windows-1258', 'x-cp1258' => 'windows-1258',
        'windows-874' => 'windows-874', 'tis-620' => 'windows-874', 'iso-8859-11' => 'windows-874', 'dos-874' => 'windows-874',
        'macintosh' => 'macintosh', 'mac' => 'macintosh', 'x-mac-roman' => 'macintosh',
        'x-mac-cyrillic' => 'x-mac-cyrillic', 'x-mac-ukrainian' => 'x-mac-cyrillic',
    ];

    private function __construct(public string $text, public string $name, public ?string $problem)
    {
    }

    /** The words of a page: as its header says, or as it says of itself where it begins. Valid UTF-8. */
    public static function ofPage(string $bytes, string $contentType = ''): string
    {
        $told = $contentType.' '.substr($bytes, 0, 2_048);

        return self::decoded($bytes, preg_match('/charset=["\']?([\w-]+)/i', $told, $found) === 1 ? $found[1] : null)->text;
    }

    /**
     * @param  string|null  $declared  the name given with the bytes (HTTP, XML declaration); null where none was
     * @return self text is valid UTF-8; problem says where declaration and bytes disagree
     */
    public static function decoded(string $bytes, ?string $declared): self
    {
        foreach (self::MARKS as $mark => $name) {
            if (str_starts_with($bytes, $mark)) {
                return self::as(substr($bytes, strlen($mark)), $name, null);
            }
        }
        $unmarked = self::sixteenBits($bytes);
        if ($unmarked !== null) {
            return self::as($bytes, $unmarked, null);
        }
        $name = self::known($declared);
        $valid = mb_check_encoding($bytes, 'UTF-8');
        if ($name === null) {
            $unknown = $declared === null ? null : "The encoding \"$declared\" is not known";

            $name = $valid ? 'UTF-8' : self::guessed($bytes);

            return self::as($bytes, $name, match (true) {
                $unknown !== null => "$unknown; read as $name.",
                $valid => null,
                default => "No encoding is declared and this is not UTF-8; read as $name.",
            });
        }
        if ($name === 'UTF-8' && ! $valid) {
            $name = self::guessed($bytes);

            return self::as($bytes, $name, "Declared as UTF-8, but it is not; read as $name.");
        }
        // Bytes that happen to be valid UTF-8 beyond ASCII are all but never anything else.
        if ($name !== 'UTF-8' && $valid && self::singleByte($name) && preg_match('/[\x80-\xFF]/', $bytes) === 1) {
            return self::as($bytes, 'UTF-8', "Declared as $declared, but it is UTF-8; read as UTF-8.");
        }

        return self::as($bytes, $name, null);
    }

    /**
     * What bytes that are not UTF-8 are, by what they show (common practice): Japanese is full of kana, other East Asian encodings have
     * their bytes in pairs, Cyrillic ones in long runs, Polish has letters where others have signs; the rest is Windows-1252.
     */
    private static function guessed(string $bytes): string
    {
        $sample = substr($bytes, 0, 100_000);
        $high = (int) preg_match_all('/[\x80-\xFF]/', $sample);
        // A sample may end within a character.
        $decoded = fn (string $name): ?string => mb_check_encoding($sample, $name) || mb_check_encoding(substr($sample, 0, -1), $name)
            ? (string) mb_convert_encoding($sample, 'UTF-8', $name)
            : null;
        $share = fn (?string $text, string $range): float => $text === null || $high === 0 ? 0.0
            : 2 * (int) preg_match_all("/[$range]/u", mb_scrub($text, 'UTF-8')) / $high;
        foreach (['SJIS-win', 'EUC-JP'] as $japanese) {
            if ($share($decoded($japanese), 'ぁ-んァ-ヴ') > 0.2) {
                return $japanese;
            }
        }
        preg_match_all('/[\xA1-\xFE]{2,}/', $sample, $runs);
        $inRuns = array_sum(array_map(strlen(...), $runs[0]));
        $even = count(array_filter($runs[0], fn (string $run): bool => strlen($run) % 2 === 0));
        if (count($runs[0]) > 3 && $even === count($runs[0]) && $inRuns > 0.9 * $high) {
            return match (true) {
                $share($decoded('UHC'), '가-힣') > 0.7 => 'UHC',
                $decoded('GB18030') !== null => 'GB18030',
                default => 'Windows-1252',
            };
        }

        // What are signs in Western Europe ("³", "¹", "¿") are letters in Poland, where they stand within words.
        $within = (int) preg_match_all('/[a-z\x80-\xFF][\xB3\xB9\xBF](?=[a-z\x80-\xFF])/i', $sample);

        return match (true) {
            $high > 0 && $inRuns > 0.8 * $high && preg_match_all('/[\xC0-\xFF]{3,}/', $sample) > 3 => 'Windows-1251',
            $within > 0.1 * $high && $within > 1 => 'windows-1250',
            default => 'Windows-1252',
        };
    }

    private static function as(string $bytes, string $name, ?string $problem): self
    {
        $text = match (true) {
            $name === 'UTF-8' => $bytes,
            // Where ICU has several of that name it takes the usual one, and remarks on it.
            in_array($name, self::OF_ICU, true) => (string) @UConverter::transcode($bytes, 'UTF-8', $name),
            default => (string) mb_convert_encoding($bytes, 'UTF-8', $name),
        };

        return new self(mb_scrub($text, 'UTF-8'), $name, $problem);
    }

    /** UTF-16 without a mark shows as a zero in every other byte of "<?" or "{". */
    private static function sixteenBits(string $bytes): ?string
    {
        return match (true) {
            preg_match('/^[<{\[]\x00[^\x00]\x00/', $bytes) === 1 => 'UTF-16LE',
            preg_match('/^\x00[<{\[]\x00[^\x00]/', $bytes) === 1 => 'UTF-16BE',
            default => null,
        };
    }

    /** The name as PHP knows it. Latin 1 is read as Windows-1252, as the WHATWG's Encoding standard has browsers do. */
    private static function known(?string $declared): ?string
    {
        $name = strtolower(trim((string) $declared, " \t\"'"));
        $name = match ($name) {
            'utf8', 'utf-8', 'unicode-1-1-utf-8' => 'UTF-8',
            'iso-8859-1',
            'latin1',
            'latin-1',
            'l1',
            'us-ascii',
            'ascii',
            'windows-1252',
            'cp1252',
            'x-cp1252',
            'iso8859-1' => 'Windows-1252',
            'shift_jis', 'shift-jis', 'sjis', 'x-sjis', 'windows-31j' => 'SJIS-win',
            'gb2312', 'gbk', 'gb18030' => 'GB18030',
            'euc-kr', 'ks_c_5601-1987' => 'UHC',
            'iso-8859-9', 'latin5', 'windows-1254', 'cp1254' => 'Windows-1254',
            default => $name,
        };
        if (isset(self::OF_ICU[$name])) {
            return self::OF_ICU[$name];
        }
        foreach (array_diff(mb_list_encodings(), self::NO_CHARSETS) as $encoding) {
            if (strcasecmp($encoding, $name) === 0 || in_array($name, array_map(strtolower(...), mb_encoding_aliases($encoding)), true)) {
                return $encoding;
            }
        }

        return null;
    }

    private static function singleByte(string $name): bool
    {
        return preg_match('/^(Windows-(?:125|874)|macintosh|x-mac|ISO-8859|KOI8|CP866|CP850|ArmSCII|ASCII|7bit|8bit)/i', $name) === 1;
    }
}
