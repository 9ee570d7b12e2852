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

    /** What held for a shape that did not say otherwise, up to the third form. */
    private const SHAPE = [
        'layout' => ['name' => 'carousel', 'peek' => false],
        'card' => ['rating', 'title', 'words', 'name', 'date', 'source'],
        'rating' => 'both',
        'date' => 'day',
        'head' => ['overall', 'count', 'spread'],
        'heights' => 'level',
    ];

    private const PADDING = 20;

    /** Between photos in rows. */
    private const ROWS_GAP = 8;

    /** Looks that were drawn anew since; as they were, they have the number of the form behind their keys. */
    private const LOOKS = [
        'paper', 'window', 'linen', 'broadsheet', 'night-ink', 'ember', 'field-notes', 'slate-board', 'harbour-fog', 'gallery-wall',
        'contact-sheet',
    ];

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
            $version === 3 => self::fromThird($brief),
            $version === 2 => self::fromThird(self::fromSecond($brief)),
            $version === 1 => self::fromThird(self::fromSecond(self::fromFirst($brief))),
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

    /**
     * What was usual and is no more is written down, and looks keep the form that they had: nothing that is published changes by itself.
     *
     * @param  array<array-key, mixed>  $brief
     * @return array<array-key, mixed>
     */
    private static function fromThird(array $brief): array
    {
        $shape = ObjectSchema::membersOf($brief['shape'] ?? []);
        if ($shape !== null) {
            // A layout that did not say which was the usual one, a carousel.
            foreach (['/layout', '/at/phone/layout', '/at/tablet/layout'] as $path) {
                $shape = self::named($shape, array_slice(explode('/', $path), 1));
            }
            $frame = ObjectSchema::membersOf($shape['frame'] ?? []);
            $brief['shape'] = array_filter($shape, fn (mixed $member): bool => $member !== null) + self::SHAPE + $shape;
            if ($frame !== null) {
                $isRows = (ObjectSchema::membersOf($shape['layout'] ?? null)['name'] ?? null) === 'photo-rows';
                $brief['shape']['frame'] = array_filter($frame, fn (mixed $member): bool => $member !== null)
                    + ($isRows ? ['gap' => self::ROWS_GAP] : []) + $frame + ['padding' => self::PADDING];
            }
        }
        $dress = ObjectSchema::membersOf($brief['dress'] ?? []);
        $name = $dress['name'] ?? self::LOOKS[0];
        if ($dress !== null && in_array($name, self::LOOKS, true)) {
            $brief['dress'] = ['name' => "$name-3"] + $dress;
        }

        return $brief;
    }

    /**
     * @param  array<array-key, mixed>  $members
     * @param  list<string>  $path  to a layout
     * @return array<array-key, mixed> the same, the layout with its name
     */
    private static function named(array $members, array $path): array
    {
        [$member, $rest] = [$path[0] ?? '', array_slice($path, 1)];
        $within = ObjectSchema::membersOf($members[$member] ?? null);
        if ($within !== null) {
            $members[$member] = $rest === [] ? self::layout($within + ['name' => 'carousel']) : self::named($within, $rest);
        }

        return $members;
    }

    /**
     * @param  array<array-key, mixed>  $layout
     * @return array<array-key, mixed>
     */
    private static function layout(array $layout): array
    {
        return $layout['name'] === 'carousel' ? $layout + ['peek' => false] : $layout;
    }
}
