<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Place\Check\PlacementVerdict;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Whether a widget is on a page where it should be, as it was found the last time.
 *
 * @property int $id
 * @property int $site_id
 * @property int $page_id
 * @property int $widget_id
 * @property string $verdict  of Verdict
 * @property list<array<string, mixed>> $told
 * @property Carbon|null $first_there_at
 * @property Carbon|null $last_there_at
 * @property Carbon|null $missing_since
 * @property bool $was_sent  whether the page was ever sent with the code in it
 * @property Carbon|null $gone_since  when it was first sent without it afterwards
 * @property Carbon $checked_at
 * @property Page $page
 * @property Widget $widget
 */
final class Finding extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['told' => 'array', 'first_there_at' => 'datetime', 'last_there_at' => 'datetime', 'missing_since' => 'datetime',
            'was_sent' => 'boolean', 'gone_since' => 'datetime', 'checked_at' => 'datetime'];
    }

    /** Learns from what was fetched whether the page is sent with the code in it. */
    public function learn(PlacementVerdict $fetched): void
    {
        if (! $fetched->lacksCode()) {
            $this->fill(['was_sent' => true, 'gone_since' => null]);
        } elseif ($this->was_sent) {
            $this->fill(['gone_since' => $this->gone_since ?? now()]);
        }
    }

    /** @return BelongsTo<Page, $this> */
    public function page(): BelongsTo
    {
        return $this->belongsTo(Page::class);
    }

    /** @return BelongsTo<Widget, $this> */
    public function widget(): BelongsTo
    {
        return $this->belongsTo(Widget::class);
    }
}
