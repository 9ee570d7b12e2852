<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/** Rows of an imported table: which, and from where on. */
final class ListRows extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'what' => ['nullable', Rule::in(['new', 'changed', 'same', 'wrong'])],
            'from' => ['nullable', 'integer', 'min:0'],
        ];
    }
}
