<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Where a subject is found on a channel, connected or not yet.
 *
 * @property int $id
 * @property int $subject_id
 * @property string $channel
 * @property string $address
 */
final class SubjectAddress extends Model
{
    protected $guarded = [];
}
