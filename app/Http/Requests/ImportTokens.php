<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Design tokens of a file, to become a kept look. */
final class ImportTokens extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tokens' => ['required', 'array'],
            'name' => ['sometimes', 'nullable', 'string', 'max:60'],
            'mapping' => ['sometimes', 'nullable', 'array', 'max:60'],
            'mapping.*.target' => ['required', 'string', 'max:40'],
            'mapping.*.token' => ['required', 'string', 'max:400'],
        ];
    }
}
