<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Site;
use App\Models\Subject;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Clauses\Within;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\SiteNames;
use Illuminate\Support\Facades\DB;

/** What the briefs of a site depend on beside themselves, asked once for all that are looked at together. */
final class SiteContexts
{
    /** @var array<string, string> */
    private readonly array $channels;

    private readonly SiteNames $names;

    /** @var array<string, int>|null */
    private ?array $reopened = null;

    private function __construct(private readonly Site $site)
    {
        $sources = $site->sources()->get(['key', 'name', 'channel']);
        $this->channels = $sources->pluck('channel', 'key')->all();
        $this->names = new SiteNames($sources->pluck('name', 'key')->all(), $site->subjects()->pluck('name', 'key')->all());
    }

    public static function of(Site $site): self
    {
        return new self($site);
    }

    /** @param  array<string, string>  $channelNames  by key, where they are told */
    public function for(Criteria $wanted, array $channelNames = []): SiteContext
    {
        $widgets = ApartFrom::widgets($wanted);

        return new SiteContext(
            now: CarbonImmutable::now($this->site->timezone)->toDateTimeImmutable(),
            channels: $this->channels,
            reopened: Within::asksReopened($wanted) ? $this->reopened ??= $this->reopened() : [],
            never: $this->site->neverWords(),
            shownBy: $widgets === [] ? [] : $this->shownBy($widgets),
            names: $channelNames === [] ? $this->names : new SiteNames($this->names->sources, $this->names->subjects, $channelNames),
        );
    }

    /** @return array<string, int> the start of the day at the site, by the key of the subject */
    private function reopened(): array
    {
        $reopened = [];
        foreach (Subject::query()->where('site_id', $this->site->id)->whereNotNull('reopened_on')->get() as $subject) {
            $reopened[$subject->key] = (new DateTimeImmutable(
                substr((string) $subject->reopened_on, 0, 10),
                $this->site->zone(),
            ))->getTimestamp();
        }

        return $reopened;
    }

    /**
     * @param  list<string>  $widgets  keys
     * @return array<string, list<string>>
     */
    private function shownBy(array $widgets): array
    {
        $shown = [];
        foreach (DB::table('shown')->join(
            'widgets',
            'widgets.id',
            '=',
            'shown.widget_id',
        )->join('entries', 'entries.id', '=', 'shown.entry_id')
            ->where('widgets.site_id', $this->site->id)
            ->whereIn('widgets.key', $widgets)
            ->orderBy('place')
            ->get(['widgets.key', 'entries.ref']) as $row) {
            $shown[(string) $row->key][] = (string) $row->ref;
        }

        return $shown;
    }
}
