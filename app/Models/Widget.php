<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A name, a brief and its editions. The brief here is the one on the bench; what is out is the edition's.
 *
 * @property int $id
 * @property int $site_id
 * @property string $key
 * @property string $name
 * @property array<string, mixed> $brief
 * @property int|null $edition_id
 * @property Edition|null $edition
 * @property Carbon|null $removed_at
 * @property bool $stays  on the pages that have its code, though it was removed
 * @property Site $site
 * @property Carbon $updated_at
 */
final class Widget extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['brief' => 'array', 'removed_at' => 'datetime', 'stays' => 'boolean'];
    }

    /** Whether it shows nothing any more, wherever its code stands. */
    public function isEmptied(): bool
    {
        return $this->removed_at !== null && ! $this->stays;
    }

    public function draft(): Brief
    {
        return BriefReader::read($this->brief);
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** @return HasMany<Edition, $this> */
    public function editions(): HasMany
    {
        return $this->hasMany(Edition::class);
    }
}
