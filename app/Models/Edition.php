<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One published rendering of a widget. Its files never change.
 *
 * @property int $id
 * @property int $widget_id
 * @property int $number
 * @property string $hash
 * @property string|null $fingerprint  of all that it was made from
 * @property array<string, mixed> $brief
 * @property int $shown
 * @property array{length: string, short?: string, phone: int, wide: int, pictured: bool}|null $room  at every width, and in pixels; and
 *      whether its
 *     rating is there as a picture
 * @property string $cause
 * @property Carbon $created_at
 */
final class Edition extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['brief' => 'array', 'room' => 'array', 'created_at' => 'datetime'];
    }

    public function toBrief(): Brief
    {
        return BriefReader::read($this->brief);
    }
}
