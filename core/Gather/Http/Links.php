<?php

declare(strict_types=1);

namespace Gnomic\Gather\Http;

use Gnomic\Text\Address;
use Gnomic\Text\Pieces;

/** Web links in a header (RFC 8288): `<https://example.org/2>; rel="next"`. */
final class Links
{
    /** @return string|null the first address with that relation, whole */
    public static function of(?string $header, string $relation, ?string $base): ?string
    {
        preg_match_all(
            '/<([^<>]*)>((?:\s*;\s*[\w!#$&+.^`|~*-]+\s*(?:=\s*(?:"(?:[^"\\\\]|\\\\.)*"|[^\s",;]*))?)*)/',
            (string) $header,
            $links,
            PREG_SET_ORDER,
        );
        foreach ($links as $link) {
            if (preg_match('/;\s*rel\s*=\s*(?:"([^"]*)"|([^\s",;]+))/i', $link[2], $rel) !== 1) {
                continue;
            }
            $relations = Pieces::of(strtolower($rel[2] ?? $rel[1]));
            if (in_array(strtolower($relation), $relations, true)) {
                return Address::webOrNull($link[1], $base);
            }
        }

        return null;
    }
}
