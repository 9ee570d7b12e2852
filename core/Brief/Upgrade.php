<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Schema\ObjectSchema;

/** Earlier forms of a brief, brought to the newest. What was wrong in them stays wrong, and is told by who reads on. */
final class Upgrade
{
    /** Members of a layout that stood beside it in the first form. */
    private const OF_CAROUSEL = ['across', 'wholeRows', 'autoplay'];

    /**
     * @param  array<array-key, mixed>  $brief
     * @return array<array-key, mixed> without its version
     *
     * @throws MemberIsWrong for a version that is none
     */
    public static function toNewest(array $brief): array
    {
        $version = array_key_exists('version', $brief)
            ? $brief['version']
            : throw MemberIsWrong::missing('/version', (string) Brief::VERSION);
        unset($brief['version']);

        return match (true) {
            $version === Brief::VERSION => $brief,
            $version === 1 => self::fromFirst($brief),
            default => throw MemberIsWrong::at('/version', (string) Brief::VERSION, $version),
        };
    }

    /**
     * Settings of the carousel go with the carousel.
     *
     * @param  array<array-key, mixed>  $brief
     * @return array<array-key, mixed>
     */
    private static function fromFirst(array $brief): array
    {
        $shape = ObjectSchema::membersOf($brief['shape'] ?? []);
        if ($shape === null) {
            return $brief;
        }
        $name = $shape['layout'] ?? 'carousel';
        $own = array_intersect_key($shape, array_flip(self::OF_CAROUSEL));
        $brief['shape'] = ['layout' => ['name' => $name] + ($name === 'carousel' ? $own : [])] + array_diff_key($shape, $own);

        return $brief;
    }
}
