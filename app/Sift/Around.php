<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Site;
use App\Models\Subject;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Gnomic\Brief\Brief;
use Gnomic\Sift\Circumstances;
use Illuminate\Support\Facades\DB;

/** What the briefs of a site depend on beside themselves, asked once for all that are looked at together. */
final class Around
{
    /** @var array<string, string> */
    private readonly array $channels;

    /** @var array<string, int>|null */
    private ?array $reopened = null;

    private function __construct(private readonly Site $site)
    {
        $this->channels = $site->sources()->pluck('channel', 'key')->all();
    }

    public static function of(Site $site): self
    {
        return new self($site);
    }

    public function brief(Brief $brief): Circumstances
    {
        return new Circumstances(
            now: CarbonImmutable::now($this->site->timezone)->toDateTimeImmutable(),
            channels: $this->channels,
            reopened: $brief->when?->sinceReopened === true ? $this->reopened ??= $this->reopened() : [],
            never: $this->site->neverWords(),
            shownBy: $brief->apartFrom === [] ? [] : $this->shownBy($brief->apartFrom),
        );
    }

    /** @return array<string, int> the start of the day at the site, by the key of the subject */
    private function reopened(): array
    {
        $reopened = [];
        foreach (Subject::query()->where('site_id', $this->site->id)->whereNotNull('reopened_on')->get() as $subject) {
            $reopened[$subject->key] = (new DateTimeImmutable(substr((string) $subject->reopened_on, 0, 10), $this->site->zone()))->getTimestamp();
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
        foreach (DB::table('shown')->join('widgets', 'widgets.id', '=', 'shown.widget_id')->join('entries', 'entries.id', '=', 'shown.entry_id')
            ->where('widgets.site_id', $this->site->id)->whereIn('widgets.key', $widgets)->orderBy('place')->get(['widgets.key', 'entries.ref']) as $row) {
            $shown[(string) $row->key][] = (string) $row->ref;
        }

        return $shown;
    }
}
