<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What a new subject is called, and what kind of thing it is. */
final class AddSubject extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:100'], 'kind' => ['nullable', 'string', 'max:40']];
    }
}
