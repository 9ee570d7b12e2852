<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Text\Words;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * One connection to an outside service.
 *
 * @property int $id
 * @property int $site_id
 * @property string $key
 * @property string $name
 * @property string $channel
 * @property string $address
 * @property string|null $home
 * @property int $cadence
 * @property string|null $etag
 * @property string|null $last_modified
 * @property int $failures
 * @property int|null $subject_id
 * @property int|null $grant_id
 * @property array<string, mixed>|null $settings  of the channel: boards, hashtags, the product of a page
 * @property array<string, string|null>|null $profile  name, picture and bio of an account, as the owner wants them
 * @property array{value: float, best: float, worst: float, count: int|null}|null $figures  the service's own
 * @property string|null $sign  the owner's own for its service: the address of a picture
 * @property array{used: int, limit: int}|null $quota
 * @property bool $shows_gone  whether entries that are gone at the source stay on show
 * @property bool $accepts_loss  the owner has said that a sudden loss is right
 * @property Round|null $lastRound
 * @property Subject|null $subject
 * @property Grant|null $grant
 * @property array<string, string|null>|null $identity  of what was at its address when it was read last
 * @property int|null $queued_at  seconds since 1970
 * @property Carbon|null $next_at
 * @property Carbon|null $disconnected_at
 * @property Carbon|null $removed_at
 * @property Site $site
 */
final class Source extends Model
{
    protected $guarded = [];

    /** @var array<string, mixed> as the table has them, for sources that were not read from there */
    protected $attributes = ['failures' => 0, 'shows_gone' => false, 'accepts_loss' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'settings' => 'array',
            'profile' => 'array',
            'figures' => 'array',
            'quota' => 'array',
            'identity' => 'array',
            'shows_gone' => 'boolean',
            'accepts_loss' => 'boolean',
            'next_at' => 'datetime',
            'removed_at' => 'datetime',
            'disconnected_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return BelongsTo<Subject, $this> */
    public function subject(): BelongsTo
    {
        return $this->belongsTo(Subject::class);
    }

    /** @return BelongsTo<Grant, $this> */
    public function grant(): BelongsTo
    {
        return $this->belongsTo(Grant::class);
    }

    /** @return HasMany<EntryRecord, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(EntryRecord::class);
    }

    /** @return HasMany<Round, $this> */
    public function rounds(): HasMany
    {
        return $this->hasMany(Round::class);
    }

    /** @return HasOne<Round, $this> */
    public function lastRound(): HasOne
    {
        return $this->hasOne(Round::class)->latestOfMany();
    }

    public function isDue(): bool
    {
        return $this->next_at !== null && ! $this->next_at->isFuture();
    }

    /** In a word of the interface. */
    public function state(): string
    {
        $round = $this->lastRound;

        return match (true) {
            $this->disconnected_at !== null => 'disconnected',
            in_array($this->channel, ['table', 'hand'], true) => 'kept',
            $this->grant !== null && $this->grant->ended_at !== null => 'ended',
            $round === null => 'waiting',
            $round->outcome === RoundOutcome::Running => 'running',
            in_array($round->outcome, [RoundOutcome::Failed, RoundOutcome::Held], true) => $round->outcome->value,
            default => 'well',
        };
    }

    /** A key that the site has not used yet, from a name. */
    public static function freeKey(Site $site, string $name): string
    {
        $base = Words::filled(Str::limit(Str::slug($name), 40, '')) ?? 'source';
        $key = $base;
        for ($number = 2; $site->sources()->where('key', $key)->exists(); $number++) {
            $key = "$base-$number";
        }

        return $key;
    }
}
