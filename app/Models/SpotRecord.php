<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Json\Value;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Pattern\PatternIsWrong;
use Gnomic\Place\Spot\Spot;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A spot as it is kept.
 *
 * @property int $id
 * @property int $site_id
 * @property int $widget_id
 * @property string $key
 * @property array<string, mixed> $spot  as Spot::toArray()
 * @property Carbon|null $removed_at
 * @property Widget $widget
 */
final class SpotRecord extends Model
{
    protected $table = 'spots';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['spot' => 'array', 'removed_at' => 'datetime'];
    }

    /**
     * @param  callable(Builder<self>): mixed  $narrow
     * @return list<self> the earliest first, with their widgets
     */
    public static function ofQuery(callable $narrow): array
    {
        $query = self::query();
        $narrow($query);
        $query->with(['widget' => ['edition']])->orderBy('id');

        return array_values($query->get()->all());
    }

    /** A pattern that was taken once and is refused by now stands for itself: the owner sees it, and no other spot suffers. */
    public function toCore(): Spot
    {
        try {
            return Spot::read($this->spot);
        } catch (PatternIsWrong) {
            $read = fn (mixed $pattern): string => PathPattern::readable(Value::text($pattern));

            return Spot::read([
                ...$this->spot,
                'pages' => array_map($read, (array) ($this->spot['pages'] ?? [])),
                'except' => array_map($read, (array) ($this->spot['except'] ?? [])),
            ]);
        }
    }

    /** @return BelongsTo<Widget, $this> */
    public function widget(): BelongsTo
    {
        return $this->belongsTo(Widget::class);
    }
}
