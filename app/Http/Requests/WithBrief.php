<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A brief, and nothing beside it. */
final class WithBrief extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['brief' => ['required', 'array']];
    }
}
