<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Two versions of a widget, of which visitors get one by chance.
 *
 * @property int $id
 * @property int $site_id
 * @property int $widget_id
 * @property int $this_id  the form that is as the widget is
 * @property int $other_id  the form that is the other version
 * @property Carbon $started_at
 * @property Carbon|null $ended_at
 * @property 'this'|'other'|null $kept
 * @property array<string, mixed>|null $told  how it stood when it was ended
 * @property Widget $widget
 * @property Widget $same
 * @property Widget $other
 */
final class Trial extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['started_at' => 'datetime', 'ended_at' => 'datetime', 'told' => 'array'];
    }

    /** @return BelongsTo<Widget, $this> */
    public function widget(): BelongsTo
    {
        return $this->belongsTo(Widget::class);
    }

    /** @return BelongsTo<Widget, $this> */
    public function same(): BelongsTo
    {
        return $this->belongsTo(Widget::class, 'this_id');
    }

    /** @return BelongsTo<Widget, $this> */
    public function other(): BelongsTo
    {
        return $this->belongsTo(Widget::class, 'other_id');
    }
}
