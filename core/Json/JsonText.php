<?php

declare(strict_types=1);

namespace Gnomic\Json;

/** JSON as it comes (RFC 8259): read, or its first fault told with line and column, which PHP's own reader does not do. */
final class JsonText
{
    public const DEPTH = 64;

    private const MARK = "\xEF\xBB\xBF";

    /** The well-formed beginning: RFC 3629, section 4. */
    private const UTF8 = '/^(?:[\x00-\x7F]++|[\xC2-\xDF][\x80-\xBF]|\xE0[\xA0-\xBF][\x80-\xBF]|[\xE1-\xEC\xEE\xEF][\x80-\xBF]{2}'
        .'|\xED[\x80-\x9F][\x80-\xBF]|\xF0[\x90-\xBF][\x80-\xBF]{2}|[\xF1-\xF3][\x80-\xBF]{3}|\xF4[\x80-\x8F][\x80-\xBF]{2})*+/';

    private const BLANK = '/\G[ \t\r\n]*/';

    private const SCALAR = '/\G(?:true|false|null|-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?)(?![\w.+-])/';

    private const STRING = '/\G"(?:[^"\\\\\x00-\x1F]++|\\\\(?:["\\\\\/bfnrt]|u[0-9a-fA-F]{4}))*+"/';

    /**
     * @param  bool  $objects  whether objects become objects, which tells an empty one from an empty list, or arrays
     *
     * @throws JsonIsBroken
     */
    public static function decode(string $text, bool $objects = false): mixed
    {
        // A byte order mark is not to be written, and may be passed over: RFC 8259, section 8.1.
        $text = str_starts_with($text, self::MARK) ? substr($text, strlen(self::MARK)) : $text;
        $value = json_decode($text, ! $objects, self::DEPTH);

        return json_last_error() === JSON_ERROR_NONE ? $value : throw self::fault($text);
    }

    private static function fault(string $text): JsonIsBroken
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            preg_match(self::UTF8, $text, $sound);

            return self::at($text, strlen($sound[0] ?? ''), 'these bytes are not UTF-8. Save the file as UTF-8.');
        }

        return self::scanned($text);
    }

    private static function scanned(string $text): JsonIsBroken
    {
        $at = 0;
        $open = [];
        $wanted = 'value';
        while (true) {
            preg_match(self::BLANK, $text, $blank, 0, $at);
            $at += strlen($blank[0] ?? '');
            $next = $text[$at] ?? '';
            if ($next === '') {
                return $text === '' || $at === 0
                    ? self::at($text, 0, 'there is nothing here.')
                    : self::at(
                        $text,
                        $at,
                        $open === [] ? 'it ends too early.' : 'it ends before "'.end($open).'" closes what was opened.',
                    );
            }
            $closes = $open !== [] && $next === end($open) && in_array($wanted, ['value or end', 'name or end', 'comma'], true);
            if ($closes) {
                array_pop($open);
                $at++;
                $wanted = 'comma';
            } elseif ($wanted === 'comma') {
                if ($open === [] || $next !== ',') {
                    return self::at($text, $at, $open === [] ? 'something stands behind the end.'
                        : 'a comma or "'.end($open).'" is missing before this.');
                }
                $at++;
                $wanted = end($open) === '}' ? 'name' : 'value';
            } elseif ($wanted === 'name' || $wanted === 'name or end') {
                if (preg_match(self::STRING, $text, $name, 0, $at) !== 1) {
                    return self::at($text, $at, $next === '"' ? self::brokenString() : ($next === '}'
                        ? 'a comma stands before the end.' : 'a name in double quotes has to stand here.'));
                }
                $at += strlen($name[0]);
                preg_match(self::BLANK, $text, $blank, 0, $at);
                $at += strlen($blank[0] ?? '');
                if (($text[$at] ?? '') !== ':') {
                    return self::at($text, $at, 'a colon has to stand between a name and its value.');
                }
                $at++;
                $wanted = 'value';
            } elseif ($next === '{' || $next === '[') {
                $open[] = $next === '{' ? '}' : ']';
                $at++;
                if (count($open) >= self::DEPTH) {
                    return self::at($text, $at, 'more than '.self::DEPTH.' things stand within each other.');
                }
                $wanted = $next === '{' ? 'name or end' : 'value or end';
            } elseif (preg_match(self::STRING, $text, $value, 0, $at) === 1 || preg_match(self::SCALAR, $text, $value, 0, $at) === 1) {
                $at += strlen($value[0]);
                $wanted = 'comma';
            } else {
                return self::at($text, $at, match (true) {
                    $next === '"' => self::brokenString(),
                    $next === ']' || $next === '}' => 'a comma stands before the end, or a value is missing.',
                    $next === "'" => 'texts stand in double quotes.',
                    $next === '/' => 'JSON has no comments.',
                    default => 'this is no value: a text in double quotes, a number, true, false, null, a list or an object.',
                });
            }
        }
    }

    private static function brokenString(): string
    {
        return 'this text does not end, or has a line break or a backslash that JSON does not allow.';
    }

    private static function at(string $text, int $offset, string $what): JsonIsBroken
    {
        $before = substr($text, 0, $offset);
        $lines = explode("\n", strtr($before, ["\r\n" => "\n", "\r" => "\n"]));

        return new JsonIsBroken(count($lines), mb_strlen($lines[count($lines) - 1], 'UTF-8') + 1, $what);
    }
}
