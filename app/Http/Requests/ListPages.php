<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which of the pages: by words, by branch, by what the check found. */
final class ListPages extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'search' => ['sometimes', 'nullable', 'string', 'max:200'],
            'branch' => ['sometimes', 'nullable', 'string', 'max:200'],
            'state' => ['sometimes', 'nullable', 'in:missing,placed'],
            'after' => ['sometimes', 'integer', 'min:0', 'max:60000'],
        ];
    }
}
