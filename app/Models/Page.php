<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Place\Pattern\PathName;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A page of a site.
 *
 * @property int $id
 * @property int $site_id
 * @property string $address
 * @property string $digest
 * @property string $path
 * @property string $branch  first step of the path: pages are grouped by it
 * @property string|null $title
 * @property string|null $language
 * @property string|null $modified  as the sitemap has it
 * @property 'sitemap'|'link'|'hand' $found_by
 * @property list<array<string, mixed>>|null $widgets  that were found on it
 * @property string|null $failure  why it could not be had the last time
 * @property Carbon|null $seen_at
 * @property Carbon|null $checked_at
 * @property Site $site
 */
final class Page extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['widgets' => 'array', 'seen_at' => 'datetime', 'checked_at' => 'datetime'];
    }

    /** @return array<string, mixed> columns of an address */
    public static function columns(int $siteId, string $address): array
    {
        $path = PathName::of($address);
        $query = parse_url($address, PHP_URL_QUERY);

        return [
            'site_id' => $siteId,
            'address' => $address,
            'digest' => hash('xxh128', $address),
            'path' => mb_strcut($path.(is_string($query) ? "?$query" : ''), 0, 2000),
            'branch' => mb_strcut(preg_match('~^/[^/]+(?=/)~', $path, $found) === 1 ? $found[0] : '/', 0, 200),
        ];
    }

    public static function at(int $siteId, string $address): ?self
    {
        return self::query()->where('site_id', $siteId)->where('digest', hash('xxh128', $address))->first();
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Finding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(Finding::class);
    }
}
