<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use App\Models\Widget;
use App\Rounds\Change;
use App\Sift\Around;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Order;
use Gnomic\Brief\Shuffle;
use Gnomic\Sift\Touch;

/** Keeps what is out up to date with the entries, widget by widget and only where it matters. */
final readonly class Refresh
{
    public function __construct(private Publish $publish)
    {
    }

    /**
     * After entries changed: renders the widgets whose brief the change can touch.
     *
     * @param  list<Change>  $changes
     * @return int new editions
     */
    public function after(Site $site, array $changes, string $cause): int
    {
        $around = Around::of($site);

        return $changes === [] ? 0 : $this->those($site, fn (Brief $brief): bool => $this->touches($brief, $around, $changes), $cause);
    }

    /** Renders all that is out of a site again, where something beside its entries changed. @return int new editions */
    public function site(Site $site, string $cause): int
    {
        return $this->those($site, fn (): bool => true, $cause);
    }

    /** After a widget's edition: renders those that leave out what it shows. @return int new editions */
    public function apartFrom(Widget $widget): int
    {
        return $this->those($widget->site, fn (Brief $brief): bool => in_array($widget->key, $brief->apartFrom, true), "\"$widget->name\" shows others now");
    }

    /** A new day is another order, or another time, for those that go by the day. @return int new editions */
    public function daily(): int
    {
        $goesByDay = fn (Brief $brief): bool => ($brief->order === Order::Shuffled && $brief->shuffle === Shuffle::Day) || $brief->order === Order::Balanced || $brief->when?->moves() === true;
        $editions = 0;
        foreach (Site::query()->lazy() as $site) {
            $editions += $this->those($site, $goesByDay, 'A new day');
        }

        return $editions;
    }

    /**
     * Renders some widgets, and then those that leave out what these show; each once, so that two that leave out each
     * other's do not go on for ever.
     *
     * @param  callable(Brief): bool  $wanted
     */
    private function those(Site $site, callable $wanted, string $cause): int
    {
        $out = Widget::query()->with(['edition', 'site']);
        $out->where('site_id', $site->id)->whereNotNull('edition_id')->orderBy('id');
        $waiting = [];
        foreach ($out->get() as $widget) {
            if ($widget->edition !== null) {
                $waiting[$widget->id] = [$widget, $widget->edition->toBrief()];
            }
        }
        $editions = 0;
        $next = array_filter($waiting, fn (array $one): bool => $wanted($one[1]));
        while ($next !== []) {
            $waiting = array_diff_key($waiting, $next);
            $renewed = [];
            foreach ($next as [$widget]) {
                if ($this->publish->again($widget, $cause) !== null) {
                    $renewed[] = $widget->key;
                    $editions++;
                }
            }
            $next = array_filter($waiting, fn (array $one): bool => array_intersect($one[1]->apartFrom, $renewed) !== []);
        }

        return $editions;
    }

    /** @param  list<Change>  $changes */
    private function touches(Brief $brief, Around $around, array $changes): bool
    {
        $circumstances = $around->brief($brief);
        foreach ($changes as $change) {
            if (Touch::canChange($brief, $circumstances, $change->before, $change->after)) {
                return true;
            }
        }

        return false;
    }
}
