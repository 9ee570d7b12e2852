<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

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
 * @property Carbon|null $next_at
 * @property Carbon|null $disconnected_at
 * @property Site $site
 */
final class Source extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['next_at' => 'datetime', 'disconnected_at' => 'datetime'];
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class);
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
}
