<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Dress\Look;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A look that a site keeps, for as many of its widgets as want it.
 *
 * @property int $id
 * @property int $site_id
 * @property string $key
 * @property string $name
 * @property array<string, mixed> $look  as Look::toArray()
 * @property Carbon $updated_at
 */
final class SavedLook extends Model
{
    protected $table = 'looks';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['look' => 'array'];
    }

    public function toCore(): Look
    {
        return Look::read($this->key, $this->look);
    }
}
