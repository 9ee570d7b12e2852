<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Of how many days. */
final class ShowCounts extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['days' => ['sometimes', 'integer', 'min:1', 'max:400']];
    }
}
