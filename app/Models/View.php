<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A way of looking at the entries that the owner has given a name.
 *
 * @property int $id
 * @property int $site_id
 * @property string $name
 * @property array{wanted: array<string, mixed>, state: string|null, search: string} $wanted
 */
final class View extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['wanted' => 'array'];
    }
}
