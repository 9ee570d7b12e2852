<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\HostLocks;
use App\Models\Edition;
use App\Models\SpotRecord;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Placing\Forms;
use App\Placing\Placements;
use App\Placing\SiteScript;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Input\Assembler;
use Gnomic\Edition\Input\EditionInput;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;

/** Makes editions of widgets. The same inputs as before make none, and neither do the same bytes. */
final readonly class Publish
{
    /** Seconds that somebody waits for another who publishes the same widget. */
    private const PATIENCE = 20.0;

    /** Editions whose files are kept, so that they can be brought back. */
    private const KEPT = 10;

    /** Of forms for spots there may be a thousand, and they come back with their widget. */
    private const KEPT_OF_FORMS = 2;

    public function __construct(
        private Supplies $supplies,
        private Renderer $renderer,
        private EditionFiles $files,
        private HostLocks $locks,
        private Forms $forms,
        private SiteScript $script,
        private Outbox $outbox,
    ) {
    }

    /** Pages of everything that are made in one turn: some seconds. */
    private const PAGES = 40;

    /**
     * Makes what a brief gives over the entries as they are now. Where there are many pages of everything, they come after it.
     *
     * @return Edition|null null where nothing differs from what is out
     */
    public function brief(Widget $widget, Brief $brief, string $cause): ?Edition
    {
        $lock = $this->locks->waited("publish-$widget->id", self::PATIENCE);
        try {
            $edition = $this->alone($widget->refresh(), $brief, $cause);
        } finally {
            $lock->release();
        }
        if ($widget->variant_of === null) {
            $this->forms->follow($widget, $brief);
        }
        // The site's own tag keeps the room of what it puts in.
        if ($edition !== null && SpotRecord::query()->where('widget_id', $widget->variant_of ?? $widget->id)->exists()) {
            $this->script->write($widget->site);
        }

        return $edition;
    }

    private function alone(Widget $widget, Brief $brief, string $cause): ?Edition
    {
        $current = $widget->edition;
        // Files that are not there, or not whole, are made again whatever the fingerprint says.
        $isSound = $current !== null && $this->files->isSound($widget->key, $current->hash, thoroughly: true);
        $before = $current !== null && $isSound ? $this->files->pages($widget->key, $current->hash) : [];
        $title = $widget->titleIn($brief);
        $frame = $this->renderer->frame($widget->key, $title);
        $input = $widget->isEmptied() ? EditionInput::nothing() : $this->input($widget, $brief, $frame, $before, 0);
        $fingerprint = $this->renderer->fingerprint($frame, $input);
        if ($input->isLong) {
            $this->outbox->pages($widget);
        }
        if ($current !== null && $isSound && $current->fingerprint === $fingerprint) {
            return $this->same($widget, $current, $brief, $fingerprint);
        }
        $rendering = $this->renderer->edition($widget->key, $title, $input);
        $this->files->write($widget->key, $rendering, $current?->hash);
        if ($current !== null && $current->hash === $rendering->hash()) {
            return $this->same($widget, $current, $brief, $fingerprint);
        }
        $edition = DB::transaction(function () use ($widget, $brief, $rendering, $fingerprint, $input, $cause): Edition {
            $edition = $widget->editions()->create([
                'number' => 1 + Value::whole($widget->editions()->max('number')),
                'hash' => $rendering->hash(),
                'fingerprint' => $fingerprint,
                'brief' => $brief->toArray(),
                'shown' => count($input->shown),
                'room' => $rendering->room,
                'cause' => $cause,
                'created_at' => now(),
            ]);
            $widget->update(['edition_id' => $edition->id]);
            $this->note($widget, $input->shown);

            return $edition;
        });
        $this->files->point(
            $widget->key,
            $edition->hash,
            max($edition->created_at->getTimestamp(), ($current?->created_at->getTimestamp() ?? 0) + 1),
        );
        $this->tidy($widget);

        return $edition;
    }

    /**
     * Makes the pages of everything that are not as they should be, some at a time: the edition that is out stays the same but for them.
     *
     * @return bool whether some are left
     */
    public function pages(Widget $widget): bool
    {
        $lock = $this->locks->waited("publish-$widget->id", self::PATIENCE);
        try {
            $current = $widget->refresh()->edition;
            if ($current === null || $widget->isEmptied() || ! $this->files->isSound($widget->key, $current->hash)) {
                return false;
            }
            $brief = BriefReader::read($current->brief);
            $frame = $this->renderer->frame($widget->key, $widget->titleIn($brief));
            $before = $this->files->pages($widget->key, $current->hash);
            $input = $this->input($widget, $brief, $frame, $before, self::PAGES);
            $rendering = $this->renderer->edition($widget->key, $widget->titleIn($brief), $input);
            $this->files->write($widget->key, $rendering, $current->hash);
            if ($rendering->hash() !== $current->hash) {
                $current->update(['hash' => $rendering->hash(), 'fingerprint' => $this->renderer->fingerprint($frame, $input)]);
                $this->files->point(
                    $widget->key,
                    $rendering->hash(),
                    max(now()->getTimestamp(), $current->created_at->getTimestamp() + 1),
                );
                $this->tidy($widget);
            }

            return count($rendering->everything) >= self::PAGES;
        } finally {
            $lock->release();
        }
    }

    private function tidy(Widget $widget): void
    {
        $kept = $widget->editions()->latest('number')->limit(
            $widget->variant_of === null ? self::KEPT : self::KEPT_OF_FORMS,
        )->pluck('hash');
        $this->files->tidy($widget->key, Value::texts($kept->all()));
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
     * @param  string  $frame  as Renderer::frame()
     * @param  array<string, string>  $before  digests of the pages of everything that are out, by their names
     * @param  int  $pages  as Assembler::edition()
     */
    private function input(Widget $widget, Brief $brief, string $frame, array $before, int $pages): EditionInput
    {
        $site = $widget->site;

        return (new Assembler($this->supplies->of($site)))->edition($brief, $widget->spoken($site), $frame, $before, $pages)
            ->counted($site->counts)
            ->placed(Placements::of($site, $widget));
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
