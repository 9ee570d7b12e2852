<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/**
 * Markup cut to what a parser can be given whoever wrote it (CWE-400, CWE-674): so many tags, so deep, so many attributes. No page
 * that people read comes near the bounds. One walk over the text; what is within the bounds stays byte for byte as it is.
 */
final class BoundedMarkup
{
    public const MOST_TAGS = 40_000;

    public const DEEPEST = 250;

    private const MOST_ATTRIBUTES = 300;

    /** Bytes of a tag below which nobody counts its attributes. */
    private const LONG_TAG = 2_000;

    /** Elements without an end, or with one that goes without saying: they make nothing deeper by themselves. */
    private const NEVER_OPEN = ['area', 'base', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta', 'param', 'source', 'track',
        'wbr', 'p', 'li', 'dt', 'dd', 'option', 'optgroup', 'tr', 'td', 'th', 'thead', 'tbody', 'tfoot', 'colgroup', 'rp', 'rt', 'html',
        'head', 'body'];

    /** Elements whose content is no markup. */
    private const RAW = ['script', 'style', 'textarea', 'title', 'xmp', 'iframe', 'noembed', 'noframes'];

    /** @param  bool  $isWhole  whether nothing had to go */
    private function __construct(public readonly string $html, public readonly bool $isWhole)
    {
    }

    public static function of(string $html, int $mostTags = self::MOST_TAGS): self
    {
        if (substr_count($html, '<') <= self::DEEPEST && strlen($html) < self::LONG_TAG) {
            return new self($html, true);
        }
        $kept = '';
        $from = $at = $depth = $tags = 0;
        $isWhole = true;
        $never = array_flip(self::NEVER_OPEN);
        $raw = array_flip(self::RAW);
        while (($at = strpos($html, '<', $at)) !== false) {
            if (++$tags > $mostTags) {
                return new self($kept.substr($html, $from, $at - $from), false);
            }
            if (substr_compare($html, '<!--', $at, 4) === 0) {
                $end = strpos($html, '-->', $at + 4);
                $at = $end === false ? strlen($html) : $end + 3;

                continue;
            }
            if (preg_match('~\G</?([a-z][^\s/>]{0,60})~i', $html, $found, 0, $at) !== 1) {
                $at++;

                continue;
            }
            $name = strtolower($found[1]);
            $length = strcspn($html, '>', $at);
            if ($found[0][1] === '/') {
                $depth = isset($never[$name]) ? $depth : max(0, $depth - 1);
                $at += $length;

                continue;
            }
            $isDeeper = ! isset($never[$name]) && ($html[$at + $length - 1] ?? '') !== '/';
            if ($isDeeper && $depth >= self::DEEPEST) {
                // The words stay; this one wrapping goes.
                $kept .= substr($html, $from, $at - $from);
                $from = $at = min(strlen($html), $at + $length + 1);
                $isWhole = false;

                continue;
            }
            if ($length > self::LONG_TAG && self::attributes(substr($html, $at, $length)) > self::MOST_ATTRIBUTES) {
                $kept .= substr($html, $from, $at - $from)."<$name";
                $from = $at + $length;
                $isWhole = false;
            }
            $depth += $isDeeper && ! isset($raw[$name]) ? 1 : 0;
            $at += $length;
            if (isset($raw[$name])) {
                $end = stripos($html, "</$name", $at);
                $at = $end === false ? strlen($html) : $end;
            }
        }

        return new self($isWhole ? $html : $kept.substr($html, $from), $isWhole);
    }

    /** How many a tag has, roughly and rather too few: what stands within quotes is none. */
    private static function attributes(string $tag): int
    {
        $bare = (string) preg_replace('/"[^"]*"|\'[^\']*\'/', '""', $tag);

        return (int) preg_match_all('/[\s"]+[^\s=>"\/]+/', $bare);
    }
}
