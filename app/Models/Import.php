<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A table that was handed over, from the first look to the last row. What each row gave lies in a file beside it.
 *
 * @property int $id
 * @property int $site_id
 * @property string $kind  "entries" or "subjects"
 * @property string $name  of the file, as it came
 * @property ImportState $state
 * @property array<string, int>|null $columns
 * @property string|null $dates  DateOrder's value
 * @property int $total
 * @property int $done
 * @property array<string, int>|null $counts
 * @property string|null $reason
 * @property string|null $asks  what only the owner can say: columns or dates
 * @property int $tries  of what is to be done with it now
 * @property Site $site
 */
final class Import extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => ImportState::class, 'columns' => 'array', 'counts' => 'array'];
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    public function file(): string
    {
        return storage_path("app/imports/$this->id.table");
    }

    /** One row a line, as JSON: number, what became of it, and the entry or what is wrong. */
    public function rows(): string
    {
        return storage_path("app/imports/$this->id.rows");
    }
}
