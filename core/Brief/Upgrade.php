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

    /** In which a card showed its parts, up to the second form. */
    private const ORDER = ['rating', 'title', 'words', 'reply', 'pictures', 'face', 'name', 'date', 'source'];

    /** Seconds of a slide. */
    private const SLOWEST = 15;

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
            $version === 2 => self::fromSecond($brief),
            $version === 1 => self::fromSecond(self::fromFirst($brief)),
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

    /**
     * What a card shows had no order of its own before; a carousel that moved by itself could wait for a minute.
     *
     * @param  array<array-key, mixed>  $brief
     * @return array<array-key, mixed>
     */
    private static function fromSecond(array $brief): array
    {
        $shape = ObjectSchema::membersOf($brief['shape'] ?? []);
        if ($shape === null) {
            return $brief;
        }
        if (is_array($shape['card'] ?? null) && array_is_list($shape['card'])) {
            $card = array_filter($shape['card'], is_string(...));
            $known = array_values(array_intersect(self::ORDER, $card));
            $shape['card'] = count($known) === count($shape['card']) ? $known : $shape['card'];
        }
        $layout = ObjectSchema::membersOf($shape['layout'] ?? null);
        if ($layout !== null && is_int($layout['autoplay'] ?? null) && $layout['autoplay'] <= 60) {
            $layout['autoplay'] = min(self::SLOWEST, $layout['autoplay']);
            $shape['layout'] = $layout;
        }
        if ($shape !== []) {
            $brief['shape'] = $shape;
        }

        return $brief;
    }
}
