<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use App\Models\Widget;
use App\Rounds\Change;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Order;
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
        $editions = 0;
        $out = Widget::query()->with(['edition', 'site']);
        $out->where('site_id', $site->id)->whereNotNull('edition_id');
        foreach ($out->get() as $widget) {
            if ($widget->edition !== null && $this->touches($widget->edition->toBrief(), $changes)) {
                $editions += $this->publish->again($widget, $cause) === null ? 0 : 1;
            }
        }

        return $editions;
    }

    /** Renders all that is out of a site again, where something beside its entries changed. @return int new editions */
    public function site(Site $site, string $cause): int
    {
        $editions = 0;
        $out = Widget::query()->with(['edition', 'site']);
        $out->where('site_id', $site->id)->whereNotNull('edition_id');
        foreach ($out->get() as $widget) {
            $editions += $this->publish->again($widget, $cause) === null ? 0 : 1;
        }

        return $editions;
    }

    /** A new day is another order for those that are shuffled daily. @return int new editions */
    public function shuffled(): int
    {
        $editions = 0;
        $out = Widget::query()->with(['edition', 'site']);
        $out->whereNotNull('edition_id');
        foreach ($out->lazy() as $widget) {
            if ($widget->edition?->toBrief()->order === Order::Shuffled) {
                $editions += $this->publish->again($widget, 'A new day\'s shuffle') === null ? 0 : 1;
            }
        }

        return $editions;
    }

    /** @param  list<Change>  $changes */
    private function touches(Brief $brief, array $changes): bool
    {
        foreach ($changes as $change) {
            if (Touch::canChange($brief, $change->before, $change->after)) {
                return true;
            }
        }

        return false;
    }
}
