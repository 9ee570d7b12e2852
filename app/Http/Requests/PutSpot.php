<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A new spot for a widget. */
final class PutSpot extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['widget' => ['required', 'string', 'max:40'], 'spot' => ['required', 'array']];
    }
}
