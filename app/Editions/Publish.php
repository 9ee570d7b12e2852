<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use App\Models\Site;
use App\Models\Widget;
use App\Sift\SiteContexts;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Edition\Honesty;
use Gnomic\Edition\Variant;
use Gnomic\Edition\Variants;
use Gnomic\Sift\Clauses\InLanguages;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Support\Facades\DB;

/** Makes editions of widgets. The same inputs as before make none, and neither do the same bytes. */
final readonly class Publish
{
    public function __construct(
        private Contents $contents,
        private Catalogues $catalogues,
        private Renderer $renderer,
        private EditionFiles $files,
        private LockProvider $locks,
    ) {
    }

    /** Makes what a brief gives over the entries as they are now. @return Edition|null null where nothing differs from what is out */
    public function brief(Widget $widget, Brief $brief, string $cause): ?Edition
    {
        return $this->locks->lock("publish:$widget->id", 60)->block(30, function () use ($widget, $brief, $cause): ?Edition {
            $widget->refresh();
            [$variants, $contents, $everything, $shown] = $this->contents($widget->site, $brief);
            $fingerprint = $this->renderer->fingerprint($widget->key, $widget->name, $variants, $contents, $everything);
            $current = $widget->edition;
            if ($current !== null && $current->fingerprint === $fingerprint) {
                return $this->same($widget, $current, $brief, $fingerprint);
            }
            $rendering = $this->renderer->render(
                $widget->key,
                $widget->name,
                $contents[''],
                $everything,
                $variants,
                array_diff_key($contents, ['' => true]),
            );
            if ($current !== null && $current->hash === $rendering->hash()) {
                return $this->same($widget, $current, $brief, $fingerprint);
            }
            $this->files->write($widget->key, $rendering);
            $edition = DB::transaction(function () use ($widget, $brief, $rendering, $fingerprint, $shown, $cause): Edition {
                $edition = $widget->editions()->create([
                    'number' => 1 + (int) $widget->editions()->max('number'),
                    'hash' => $rendering->hash(),
                    'fingerprint' => $fingerprint,
                    'brief' => $brief->toArray(),
                    'shown' => count($shown),
                    'cause' => $cause,
                    'created_at' => now(),
                ]);
                $widget->update(['edition_id' => $edition->id]);
                $this->note($widget, $shown);

                return $edition;
            });
            $this->files->point(
                $widget->key,
                $edition->hash,
                max($edition->created_at->getTimestamp(), ($current?->created_at->getTimestamp() ?? 0) + 1),
            );

            return $edition;
        });
    }

    /** What is out is right. A change that shows nowhere is still the owner's word, and whoever was killed before pointing is helped. */
    private function same(Widget $widget, Edition $current, Brief $brief, string $fingerprint): null
    {
        $current->update(['brief' => $brief->toArray(), 'fingerprint' => $fingerprint]);
        if (! $this->files->isOut($widget->key, $current->hash)) {
            $this->files->point($widget->key, $current->hash, now()->getTimestamp());
        }

        return null;
    }

    /**
     * @return array{Variants, array<string, Content>, Content|null, list<string>} variants, contents by their names, the page of
     *     everything, references of what the usual one shows
     */
    private function contents(Site $site, Brief $brief): array
    {
        $contexts = SiteContexts::of($site);
        $sieve = SiteSieve::of($site, $brief->criteria, $contexts->for($brief->criteria));
        $variants = Variants::of($brief, $site->spoken(), InLanguages::pageFirst($brief->criteria) ? $sieve->languages() : []);
        $sieves = $chosen = $wanted = [];
        /** @var Variant $variant */
        foreach ([$variants->usual(), ...$variants->others()] as $variant) {
            // Pages with labels of their own are counted once, whatever the language and the visit.
            $of = $sieves[spl_object_id($variant->brief)] ??= $variant->brief === $brief
                ? $sieve
                : SiteSieve::of($site, $variant->brief->criteria, $sieve->context());
            $at = $variant->first === null && $variant->visit === 1 ? $of : $of->at($variant->first, $variant->visit);
            // What differs in its words alone shows the same.
            $shown = $chosen[spl_object_id($variant->brief)."|$variant->first|$variant->visit"] ??= $at->selection()->shown;
            $wanted[$variant->name] = [$variant->brief, $at, $shown, $variant->words, null];
        }
        if (Honesty::narrows($brief, $sieve->context())) {
            $everything = Honesty::everything($brief);
            $all = SiteSieve::of($site, $everything->criteria, $sieve->context());
            $wanted['everything'] = [
                $everything,
                $all,
                $all->selection()->shown,
                $site->spoken()[0],
                Honesty::note($all->tally(), $this->catalogues->of($site->spoken()[0])),
            ];
        }
        $contents = array_combine(array_keys($wanted), $this->contents->each($site, array_values($wanted)));
        $everything = $contents['everything'] ?? null;
        unset($contents['everything']);

        return [$variants, $contents, $everything, $wanted[''][2]];
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
