<?php

declare(strict_types=1);

namespace Gnomic\Place\Count;

/**
 * What a browser sent when a page was left: as resources/embed/behaviours/count.ts writes it, and as the web server wrote it down. Anybody
 * can send one; nothing of it is trusted beyond its form, and it counts for one visit whatever it says.
 */
final readonly class Beacon
{
    /** Widgets of one page. */
    private const MOST_WIDGETS = 40;

    private const MOST_ENTRIES = 40;

    /** Openings, reads or clicks of one visit of one page: beyond this somebody plays. */
    private const MOST = 40;

    /**
     * @param  int  $at  seconds since 1970
     * @param  string  $host  of the page, with its port where that is not the usual
     * @param  string  $path  of the page
     * @param  list<BeaconVisit>  $told
     */
    private function __construct(public int $at, public string $host, public string $path, public array $told)
    {
    }

    /** @param  string  $line  seconds, a blank, the query @return self|null null for what is none */
    public static function read(string $line): ?self
    {
        if (preg_match('/^(\d{9,11})(?:\.\d+)? (\S{1,8200})$/', $line, $found) !== 1) {
            return null;
        }
        [$host, $path, $told] = ['', '', []];
        foreach (explode('&', $found[2]) as $pair) {
            [$name, $value] = explode('=', $pair, 2) + [1 => ''];
            $value = urldecode($value);
            if ($name === 'h') {
                $host = strtolower($value);
            } elseif ($name === 'p') {
                $path = $value;
            } elseif ($name === 'd' && count($told) < self::MOST_WIDGETS && ($one = self::told($value)) !== null) {
                $told[$one->key] ??= $one;
            }
        }
        $isHost = preg_match('/^[a-z0-9.\-\[\]:]{1,200}$/', $host) === 1;
        $isPath = str_starts_with($path, '/') && mb_check_encoding($path, 'UTF-8') && preg_match('/[\x00-\x1F\x7F]/', $path) !== 1;

        return $isHost && $isPath && $told !== [] ? new self((int) $found[1], $host, mb_strcut($path, 0, 280), array_values($told)) : null;
    }

    private static function told(string $value): ?BeaconVisit
    {
        $parts = explode('~', $value);
        $number = '(\d{1,4})';
        $isTold = preg_match(
            "/^([a-z0-9]{4,40})\.(\d{1,5})\.$number\.$number\.$number\.$number\.$number\.([01])\.(hidden|narrow|pictures|)$/D",
            array_shift($parts),
            $found,
        ) === 1;
        if (! $isTold) {
            return null;
        }
        $entries = [];
        foreach (array_slice($parts, 0, self::MOST_ENTRIES) as $part) {
            if (preg_match("/^([0-9a-f]{4,40})\.$number\.$number\.$number$/D", $part, $entry) === 1) {
                $entries[$entry[1]] = array_map(self::bounded(...), array_slice($entry, 2));
            }
        }
        [$shown, $views, $openings, $reads, $clicks] = array_map(self::bounded(...), array_slice($found, 3, 5));
        $width = (int) $found[2];

        return new BeaconVisit(
            $found[1],
            $width,
            // What has no width was not seen.
            new Counts(min(1, $shown), $width > 0 ? min(1, $views) : 0, $openings, $reads, $clicks, (int) $found[8]),
            $found[9] === '' ? null : $found[9],
            $entries,
        );
    }

    private static function bounded(string $digits): int
    {
        return min(self::MOST, (int) $digits);
    }
}
