<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Words of the site's own for visitors, by key and language. */
final class KeepWords extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'own' => ['present', 'array', 'max:200'],
            'own.*.key' => ['required', 'string', 'max:60'],
            'own.*.language' => ['present', 'nullable', 'string', 'max:8'],
            'own.*.says' => ['required', 'string', 'max:400'],
        ];
    }
}
