<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What an entry was before it was edited at its source.
 *
 * @property array<string, mixed> $payload
 * @property \Illuminate\Support\Carbon $replaced_at
 */
final class Revision extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['payload' => 'array', 'replaced_at' => 'datetime'];
    }
}
