<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A page of the owner's website as it was fetched: widgets are proofed on it, and looks are read from it.
 *
 * @property int $id
 * @property int $site_id
 * @property string $address
 * @property string $digest
 * @property string|null $failure  why it could not be had the last time, in words
 * @property string|null $html  harmless: no scripts, no frames
 * @property array<string, mixed>|null $matched  as Matching::toArray()
 * @property Carbon|null $fetched_at
 */
final class Ground extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['matched' => 'array', 'fetched_at' => 'datetime'];
    }

    public static function at(int $siteId, string $address): ?self
    {
        return self::query()->where('site_id', $siteId)->where('digest', self::digest($address))->first();
    }

    /** An address is long; an index is not. */
    public static function digest(string $address): string
    {
        return hash('xxh128', $address);
    }
}
