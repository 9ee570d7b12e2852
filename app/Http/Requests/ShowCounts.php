<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** How many days the counts are of. */
final class ShowCounts extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['days' => ['sometimes', 'integer', 'min:1', 'max:400']];
    }
}
