<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use App\Models\Site;
use App\Models\Widget;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Shape\Variants;
use Gnomic\Sift\Honesty;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Support\Facades\DB;

/** Makes editions of widgets. The same bytes as before make none. */
final readonly class Publish
{
    public function __construct(private Contents $contents, private Renderer $renderer, private EditionFiles $files, private LockProvider $locks)
    {
    }

    /** Publishes the brief that is on the bench. @return Edition|null null where nothing differs from what is out */
    public function draft(Widget $widget, string $cause): ?Edition
    {
        return $this->edition($widget, $widget->draft(), $cause);
    }

    /** Renders what is out again, over the entries as they are now. @return Edition|null null where nothing differs */
    public function again(Widget $widget, string $cause): ?Edition
    {
        return $widget->edition === null ? null : $this->edition($widget, $widget->edition->toBrief(), $cause);
    }

    private function edition(Widget $widget, Brief $brief, string $cause): ?Edition
    {
        return $this->locks->lock("publish:$widget->id", 60)->block(30, function () use ($widget, $brief, $cause): ?Edition {
            $widget->refresh();
            [$rendering, $shown] = $this->rendering($widget, $brief);
            $current = $widget->edition;
            if ($current !== null && $current->hash === $rendering->hash()) {
                $current->update(['brief' => $brief->toArray()]); // a change that shows nowhere is still the owner's word

                return null;
            }
            $this->files->write($widget->key, $rendering);
            $edition = DB::transaction(function () use ($widget, $brief, $rendering, $shown, $cause): Edition {
                $edition = $widget->editions()->create([
                    'number' => 1 + (int) $widget->editions()->max('number'),
                    'hash' => $rendering->hash(),
                    'brief' => $brief->toArray(),
                    'shown' => count($shown),
                    'cause' => $cause,
                    'created_at' => now(),
                ]);
                $widget->update(['edition_id' => $edition->id]);
                $this->note($widget, $shown);

                return $edition;
            });
            $before = $current?->created_at->getTimestamp() ?? 0;
            $this->files->point($widget->key, $edition->hash, max($edition->created_at->getTimestamp(), $before + 1));

            return $edition;
        });
    }

    /** @return array{Rendering, list<string>} and the references of what it shows */
    private function rendering(Widget $widget, Brief $brief): array
    {
        $site = $widget->site;
        $sieve = SiteSieve::of($site, $brief);
        $shown = $sieve->selection()->shown;
        $variants = Variants::of($brief, $brief->languages?->pageFirst === true ? $sieve->languages() : []);
        $others = [];
        foreach ($variants->each() as $name => ['brief' => $other, 'language' => $language, 'visit' => $visit]) {
            $at = ($other === $brief ? $sieve : SiteSieve::of($site, $other, $sieve->around()))->at($language, $visit);
            $others[$name] = $this->contents->of($site, $other, $at, $at->selection()->shown);
        }

        return [$this->renderer->render($widget->key, $widget->name, $this->contents->of($site, $brief, $sieve, $shown), $this->everything($site, $brief, $sieve), $variants, $others), $shown];
    }

    private function everything(Site $site, Brief $brief, SiteSieve $sieve): ?Content
    {
        if (! Honesty::narrows($brief, $sieve->around())) {
            return null;
        }
        $everything = Honesty::everything($brief);
        $all = SiteSieve::of($site, $everything, $sieve->around());

        return $this->contents->of($site, $everything, $all, $all->selection()->shown, Honesty::note($all->tally()));
    }

    /**
     * Keeps where each entry is on show.
     *
     * @param  list<string>  $shown
     */
    private function note(Widget $widget, array $shown): void
    {
        DB::table('shown')->where('widget_id', $widget->id)->delete();
        $ids = DB::table('entries')->where('site_id', $widget->site_id)->whereIn('ref', $shown)->pluck('id', 'ref');
        $rows = [];
        foreach ($shown as $index => $ref) {
            if (isset($ids[$ref])) {
                $rows[] = ['widget_id' => $widget->id, 'entry_id' => $ids[$ref], 'place' => $index + 1];
            }
        }
        DB::table('shown')->insert($rows);
    }
}
