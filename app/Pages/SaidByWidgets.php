<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Finding;
use Carbon\CarbonImmutable;
use Gnomic\Place\Check\Expected;
use Gnomic\Place\Check\Told;
use Gnomic\Place\Check\Verdict;
use Illuminate\Support\Facades\DB;

/**
 * What widgets said of themselves lately, beside what was found by fetching: one may be there by a script that fetching does not run, or
 * have no room.
 */
final class SaidByWidgets
{
    /** Days for which what a widget said is believed. */
    private const FRESH_DAYS = 2;

    /** Minutes for which visitors go on with a page that they have, or that a cache has, after the code is gone from it. */
    private const LINGERS = 60;

    private const NOT_SENT = [Verdict::Missing, Verdict::ScriptGone, Verdict::NoPlace];

    /**
     * @param  string  $path  of the page
     * @param  Finding  $finding  which learns whether the page is sent with the code in it
     * @param  non-empty-list<Told>  $told  by fetching
     * @return non-empty-list<Told>
     */
    public static function with(string $path, Expected $expected, Finding $finding, array $told): array
    {
        $isSent = $told[0]->verdict->shows();
        $isPutIn = in_array($told[0]->verdict, self::NOT_SENT, true);
        $finding->fill($isSent ? ['sent_at' => now(), 'unsent_since' => null] : ['unsent_since' => $finding->unsent_since ?? now()]);
        $seen = DB::table('sightings')->join('widgets', 'widgets.id', '=', 'sightings.widget_id')
            ->whereIn('widgets.key', $expected->keys)->where('page', $path)
            ->where('last_at', '>', now()->subDays(self::FRESH_DAYS))->orderByDesc('last_at')->first();
        if ($seen === null) {
            return $told;
        }
        if ($isSent && (int) $seen->last_width === 0) {
            return [new Told(
                Verdict::Hidden,
                $seen->last_fault === 'hidden' ? 'The widget itself says that the page hides it (display: none) when it is opened.'
                    : 'The widget itself says that it has no room: what it stands in is 0 pixels wide.',
                'Look at the page in a browser: a tab, an accordion or a column of no width may be around it. '
                    .'Where that is mended already, the widget says so a minute after the page was opened and left.',
            ), ...$told];
        }

        return $isPutIn && (int) $seen->last_width > 0 && self::isOfNow((string) $seen->last_at, $finding) ? [new Told(
            Verdict::Right,
            "A script of the page puts it in: it is not in the page as it is sent, and visitors have it, $seen->last_width pixels wide.",
        )] : $told;
    }

    /** Where the page was sent with the code in it once, who saw the widget before it was gone says nothing of now. */
    private static function isOfNow(string $seenAt, Finding $finding): bool
    {
        return $finding->sent_at === null || $finding->unsent_since === null
            || CarbonImmutable::parse($seenAt, 'UTC')->isAfter($finding->unsent_since->addMinutes(self::LINGERS));
    }
}
