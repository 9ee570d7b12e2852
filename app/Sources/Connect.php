<?php

declare(strict_types=1);

namespace App\Sources;

use App\Fetching\FetchFailed;
use App\Models\Grant;
use App\Models\Site;
use App\Models\Source;
use App\Models\Subject;
use App\Pictures\Pictures;
use App\Sources\Channels\Shutterfen\ShutterfenChannel;
use App\Sources\Rounds\RoundJob;

/** Connects a source, and sends its first round off. What is there already is connected again, with all it has. */
final readonly class Connect
{
    public function __construct(
        private ShutterfenChannel $shutterfen,
        private Pictures $pictures,
        private Removal $removal,
        private Signs $signs,
    ) {
    }

    public function source(Site $site, WantedSource $wanted): Source
    {
        /** @var Grant|null $grant */
        $grant = $wanted->grant === null ? null : $site->grants()->where('channel', $wanted->channel)->findOrFail($wanted->grant);
        $subject = $this->subject($site, $wanted);
        $source = $this->there($site, $wanted) ?? $this->made($site, $wanted, $grant);
        if ($source->removed_at !== null) {
            $this->removal->bringBack($source); // with all that went with it
        }
        $source->update(
            ['disconnected_at' => null, 'removed_at' => null]
                + ($grant === null ? [] : ['grant_id' => $grant->id])
                + ($subject === null ? [] : ['subject_id' => $subject->id]),
        );
        $subject?->addresses()->firstOrCreate(['channel' => $source->channel, 'address' => $source->address]);
        RoundJob::dispatch($source->id, true);

        return $source;
    }

    private function there(Site $site, WantedSource $wanted): ?Source
    {
        foreach ($site->sources()->where('channel', $wanted->channel)->where('address', $wanted->address)->get() as $source) {
            if (($source->settings['of'] ?? null) === $wanted->of) {
                return $source;
            }
        }

        return null;
    }

    private function made(Site $site, WantedSource $wanted, ?Grant $grant): Source
    {
        $profile = $wanted->channel === 'shutterfen' && $grant !== null ? $this->profile($grant) : null;
        if (isset($profile['picture'])) {
            $this->pictures->wantOne($site, $profile['picture']);
        }

        $source = $site->sources()->create([
            'key' => Source::freeKey($site, $wanted->name),
            'name' => $wanted->name,
            'channel' => $wanted->channel,
            'address' => $wanted->address,
            'home' => $wanted->home,
            'settings' => $wanted->of === null ? null : ['of' => $wanted->of],
            'profile' => $profile,
            'cadence' => config('gnomic.cadence'),
            'next_at' => now(),
        ]);
        $source->update(['sign' => $this->signs->of($source)]);

        return $source;
    }

    /** The one that was named; else the one for which this address was noted before. */
    private function subject(Site $site, WantedSource $wanted): ?Subject
    {
        return $wanted->subject !== null ? Subject::named($site, $wanted->subject)
            : $site->subjects()->whereHas(
                'addresses',
                fn ($query) => $query->where('channel', $wanted->channel)->where('address', $wanted->address),
            )->first();
    }

    /** @return array<string, string|null>|null what the account says of itself; the owner can put it otherwise */
    private function profile(Grant $grant): ?array
    {
        try {
            return $this->shutterfen->profile($grant);
        } catch (FetchFailed) {
            return null; // its first round tells why
        }
    }
}
