<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\Site;
use App\Models\Subject;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Gnomic\Entry\Kind;
use Gnomic\Json\Value;
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

    /** @var array<string, list<string>> references by the key of the widget that shows them; of those that were asked for */
    private array $shown = [];

    private function __construct(private readonly Site $site)
    {
        $sources = $site->sources()->get(['key', 'name', 'channel']);
        $this->channels = Value::named($sources->pluck('channel', 'key')->all());
        $this->names = new SiteNames(
            Value::named($sources->pluck('name', 'key')->all()),
            Value::named($site->subjects()->pluck('name', 'key')->all()),
        );
    }

    public static function of(Site $site): self
    {
        return new self($site);
    }

    /**
     * What choosing entries depends on.
     */
    public function for(Criteria $wanted, SaidOfChannels $said = new SaidOfChannels): SiteContext
    {
        $this->ahead([$wanted]);
        $apartFrom = array_flip(ApartFrom::widgets($wanted));

        return $this->context($wanted, $said, array_filter(array_intersect_key($this->shown, $apartFrom)));
    }

    /**
     * Looks up at once what many briefs depend on.
     *
     * @param  list<Criteria>  $all
     */
    public function ahead(array $all): void
    {
        $widgets = array_unique(array_merge([], ...array_map(ApartFrom::widgets(...), $all)));
        $missing = array_values(array_diff($widgets, array_map(strval(...), array_keys($this->shown))));
        $this->shown += $missing === [] ? [] : $this->shownBy($missing) + array_fill_keys($missing, []);
    }

    /**
     * What a sentence depends on: what other widgets show is not looked up for it.
     */
    public function named(Criteria $wanted, SaidOfChannels $said): SiteContext
    {
        return $this->context($wanted, $said, []);
    }

    /**
     * @param  array<string, list<string>>  $shownBy
     */
    private function context(Criteria $wanted, SaidOfChannels $said, array $shownBy): SiteContext
    {
        return new SiteContext(
            now: CarbonImmutable::now($this->site->timezone)->toDateTimeImmutable(),
            channels: $this->channels,
            reopened: Within::asksReopened($wanted) ? $this->reopened ??= $this->reopened() : [],
            never: $this->site->neverWords(),
            shownBy: $shownBy,
            names: $said->names === [] ? $this->names : new SiteNames($this->names->sources, $this->names->subjects, $said->names),
            kinds: array_map(fn (string $channel): ?Kind => $said->kinds[$channel] ?? null, $said->kinds === [] ? [] : $this->channels),
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
            $shown[Value::text($row->key)][] = Value::text($row->ref);
        }

        return $shown;
    }
}
