<?php

declare(strict_types=1);

namespace App\Editions;

use App\Channels\Channels;
use App\Channels\Profiles;
use App\Models\Edition;
use App\Models\Widget;
use App\Pictures\Pictures;
use App\Sift\SiteSieve;
use Carbon\CarbonImmutable;
use Gnomic\Brief\Brief;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Support\Facades\DB;

/** Makes editions of widgets. The same bytes as before make none. */
final readonly class Publish
{
    public function __construct(private SiteSieve $sieve, private Renderer $renderer, private EditionFiles $files, private Channels $channels, private Pictures $pictures, private Profiles $profiles, private LockProvider $locks)
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
            $rendering = $this->rendering($widget, $brief);
            $current = $widget->edition;
            if ($current !== null && $current->hash === $rendering->hash()) {
                $current->update(['brief' => $brief->toArray()]); // a change that shows nowhere is still the owner's word

                return null;
            }
            $this->files->write($widget->key, $rendering);
            $edition = DB::transaction(function () use ($widget, $brief, $rendering, $cause): Edition {
                $edition = $widget->editions()->create([
                    'number' => 1 + (int) $widget->editions()->max('number'),
                    'hash' => $rendering->hash(),
                    'brief' => $brief->toArray(),
                    'shown' => substr_count($rendering->fragment, '<article'),
                    'cause' => $cause,
                    'created_at' => now(),
                ]);
                $widget->update(['edition_id' => $edition->id]);

                return $edition;
            });
            $before = $current?->created_at->getTimestamp() ?? 0;
            $this->files->point($widget->key, $edition->hash, max($edition->created_at->getTimestamp(), $before + 1));

            return $edition;
        });
    }

    private function rendering(Widget $widget, Brief $brief): Rendering
    {
        $site = $widget->site;
        $tally = $this->sieve->tally($site, $brief);
        $selection = $this->sieve->selection($site, $brief, self::seed($site->timezone), $tally);

        $shown = $this->profiles->on($site, $this->sieve->entries($site, $selection->shown));

        return $this->renderer->render($widget->key, $widget->name, $brief, $shown, $tally->overall($brief), $this->channels->saidAt($site), $site->zone(), $this->pictures->of($site, $shown));
    }

    /** What an order by chance is drawn from: the day at the site. */
    public static function seed(string $timezone): string
    {
        return CarbonImmutable::now($timezone)->toDateString();
    }
}
