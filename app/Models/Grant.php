<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Access that an owner granted at an outside service. Tokens are encrypted at rest.
 *
 * @property int $id
 * @property int $site_id
 * @property string $channel
 * @property string $account
 * @property list<string> $scopes
 * @property string $access
 * @property string|null $refresh
 * @property Carbon|null $expires_at
 * @property Carbon|null $ended_at
 */
final class Grant extends Model
{
    protected $guarded = [];

    protected $hidden = ['access', 'refresh'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'scopes' => 'array',
            'access' => 'encrypted',
            'refresh' => 'encrypted',
            'expires_at' => 'datetime',
            'ended_at' => 'datetime',
        ];
    }

    /** @return HasMany<Source, $this> */
    public function sources(): HasMany
    {
        return $this->hasMany(Source::class);
    }
}
