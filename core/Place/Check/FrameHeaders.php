<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Place\Policy\ContentPolicy;
use Gnomic\Place\Policy\SourceExpression;
use Gnomic\Text\Address;

/** Whether what is in a frame lets itself be framed: frame-ancestors (CSP 3, §6.4.2), and without it X-Frame-Options (RFC 7034). */
final class FrameHeaders
{
    /**
     * @param  list<string>  $headers  lines "name: value"
     * @param  string  $page  that has the frame
     * @param  string  $frame  address of what is in it
     * @return string|null why not; null where it does
     */
    public static function blocks(array $headers, string $page, string $frame): ?string
    {
        $options = null;
        $ancestors = [];
        foreach ($headers as $line) {
            [$name, $value] = array_map(trim(...), explode(':', $line, 2) + [1 => '']);
            if (strtolower($name) === 'content-security-policy') {
                foreach (ContentPolicy::all([$value]) as $policy) {
                    $ancestors = isset($policy->directives['frame-ancestors'])
                        ? [...$ancestors, $policy->directives['frame-ancestors']] : $ancestors;
                }
            } elseif (strtolower($name) === 'x-frame-options') {
                $options = strtolower($value);
            }
        }
        foreach ($ancestors as $list) {
            $lets = array_filter($list, fn (string $word): bool => SourceExpression::of($word)?->lets($page, $frame) === true);
            if ($lets === []) {
                return 'The widget was sent with frame-ancestors '.implode(' ', $list).', which forbids a frame on this page.';
            }
        }
        $isSame = Address::origin($page) === Address::origin($frame);
        $forbids = $options === 'deny' || ($options === 'sameorigin' && ! $isSame);

        return $ancestors === [] && $forbids
            ? "The widget was sent with X-Frame-Options: $options, which forbids a frame on this page."
            : null;
    }
}
