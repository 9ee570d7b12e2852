<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** What cards and heads can show; which, and in which order, is the owner's. */
final class Fields
{
    public const CARD = [
        'rating', 'title', 'words', 'reply', 'pictures', 'face', 'name', 'role', 'place', 'date', 'source', 'subject', 'labels', 'likes',
    ];

    /** What a card shows where the brief does not say. */
    public const USUAL = ['rating', 'title', 'words', 'name', 'date', 'source'];

    /** Said of who said it: what stands together of these stands in one block. */
    public const BY = ['face', 'name', 'role', 'place', 'date', 'source'];

    public const HEAD = ['account', 'overall', 'count', 'spread'];

    /**
     * The parts in their order, those that belong together in one.
     *
     * @param  list<string>  $card  of CARD
     * @return list<list<string>>
     */
    public static function blocks(array $card): array
    {
        $blocks = [];
        $isOpen = false;
        foreach ($card as $part) {
            $isBy = in_array($part, self::BY, true);
            if ($isBy && $isOpen) {
                $blocks[count($blocks) - 1][] = $part;
            } else {
                $blocks[] = [$part];
            }
            $isOpen = $isBy;
        }

        return $blocks;
    }
}
