<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The spots of one widget; of all where none is named. */
final class ListSpots extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['widget' => ['sometimes', 'string', 'max:40']];
    }
}
