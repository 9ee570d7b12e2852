<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One refresh of one source: what came, what changed, what failed.
 *
 * @property int $id
 * @property int $source_id
 * @property RoundOutcome $outcome
 * @property string|null $reason
 * @property int $received
 * @property int $added
 * @property int $changed
 * @property int $same
 * @property int $gone
 * @property int $editions
 * @property list<string>|null $problems
 * @property Carbon $started_at
 * @property Carbon|null $finished_at
 * @property Source $source
 */
final class Round extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['received' => 0, 'added' => 0, 'changed' => 0, 'same' => 0, 'gone' => 0, 'editions' => 0];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['outcome' => RoundOutcome::class, 'problems' => 'array', 'started_at' => 'datetime', 'finished_at' => 'datetime'];
    }

    /** @return BelongsTo<Source, $this> */
    public function source(): BelongsTo
    {
        return $this->belongsTo(Source::class);
    }
}
