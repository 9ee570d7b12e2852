<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/**
 * What a widget said of itself on a page, beside what fetching the page found: one may be there by a script that fetching does not run,
 * or have no room.
 */
final readonly class Sighting
{
    /** Seconds for which visitors go on with a page that they have, or that a cache has, after the code is gone from it. */
    private const LINGERS = 3600;

    /**
     * @param  int  $at  when it said so, in seconds since 1970
     * @param  int  $width  in CSS pixels
     * @param  bool  $isHidden  whether it had no box at all
     * @param  int|null  $goneSince  since when the page is sent without its code, in seconds since 1970; null where it is sent with it,
     *                               or never was
     */
    public function __construct(private int $at, private int $width, private bool $isHidden, private ?int $goneSince)
    {
    }

    /**
     * @param  non-empty-list<CheckFinding>  $told  by fetching
     * @return non-empty-list<CheckFinding>
     */
    public function beside(array $told): array
    {
        $verdict = $told[0]->verdict;
        if ($verdict->shows() && $this->width === 0) {
            return [new CheckFinding(
                PlacementVerdict::Hidden,
                $this->isHidden ? 'The widget itself reports that the page hides it (display: none).'
                    : 'The widget itself reports that it has no room: its container is 0 pixels wide.',
                'Look at the page in a browser: it may be inside a closed tab, an accordion or a column without width. '
                    .'If you have fixed this already, the widget reports it a minute after somebody has opened and left the page.',
            ), ...$told];
        }
        // Who saw it before its code was gone says nothing of now.
        $isOfNow = $this->goneSince === null || $this->at > $this->goneSince + self::LINGERS;
        $mayBePutIn = in_array($verdict, [PlacementVerdict::Missing, PlacementVerdict::ScriptGone, PlacementVerdict::NoPlace], true);

        return $mayBePutIn && $this->width > 0 && $isOfNow ? [new CheckFinding(
            PlacementVerdict::Right,
            "A script of the page inserts it: it is not in the page as sent, but visitors see it, $this->width pixels wide.",
        )] : $told;
    }
}
