<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Whose spots. */
final class ListSpots extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['widget' => ['sometimes', 'string', 'max:40']];
    }
}
