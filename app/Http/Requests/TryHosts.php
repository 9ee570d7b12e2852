<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which addresses may show widgets, before it is set. */
final class TryHosts extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['allowed' => ['present', 'nullable', 'array', 'max:50'], 'allowed.*' => ['string', 'max:300']];
    }
}
