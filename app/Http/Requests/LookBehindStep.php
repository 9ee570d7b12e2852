<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which entries of a step of the sieve: those that it kept, or those that it left out. */
final class LookBehindStep extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'brief' => ['required', 'array'],
            'step' => ['required', 'string', 'max:40'],
            'kept' => ['required', 'boolean'],
            'from' => ['sometimes', 'integer', 'min:0'],
        ];
    }
}
