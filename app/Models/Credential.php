<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a channel asks for before it answers, encrypted at rest.
 *
 * @property string $channel
 * @property string $secret
 */
final class Credential extends Model
{
    protected $guarded = [];

    protected $hidden = ['secret'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['secret' => 'encrypted'];
    }
}
