<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/**
 * What visitors' browsers agree about a widget on a page, beside what fetching the page found: one may be there by a script that fetching
 * does not run, or have no room.
 */
final readonly class Sighting
{
    /** Seconds for which visitors go on with a page that they have, or that a cache has, after the code is gone from it. */
    public const LINGERS = 3600;

    /** What fetching says where a script of the page may have put the widget in. */
    private const MAY_BE_PUT_IN = [PlacementVerdict::Missing, PlacementVerdict::ScriptGone, PlacementVerdict::ElementGone,
        PlacementVerdict::NoPlace];

    /**
     * @param  int  $width  in CSS pixels
     * @param  bool  $isHidden  whether it had no box at all
     */
    public function __construct(private int $width, private bool $isHidden)
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
                $this->isHidden ? 'Visitors’ browsers report that the page hides the widget (display: none).'
                    : 'Visitors’ browsers report that the widget has no room: its container is 0 pixels wide.',
                'Look at the page in a browser: it may be inside a closed tab, an accordion or a column without width. '
                    .'If you have fixed this already, look at this page again here: from then on, only what visitors report later counts.',
            ), ...$told];
        }

        return in_array($verdict, self::MAY_BE_PUT_IN, true) && $this->width > 0 ? [new CheckFinding(
            PlacementVerdict::Right,
            "A script of the page inserts it: it is not in the page as sent, but visitors see it, $this->width pixels wide.",
        )] : $told;
    }
}
