<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture of an outside service, kept and served by us.
 *
 * @property int $id
 * @property int $site_id
 * @property string $url
 * @property string $digest
 * @property PictureState $state
 * @property string|null $name  of its files, without width and ending
 * @property list<int>|null $widths
 * @property int|null $width
 * @property int|null $height
 * @property string|null $colour  the one that it has most of, "#rgb"
 * @property list<string>|null $extremes  its darkest and its lightest colour, "#rrggbb", of spots as large as a letter
 * @property int $tries
 * @property string|null $reason
 */
final class Picture extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => PictureState::class, 'widths' => 'array', 'extremes' => 'array'];
    }

    public static function digestOf(string $url): string
    {
        return hash('xxh128', $url);
    }
}
