<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A page whose look is to be read, with style sheets of its owner where it cannot be fetched. */
final class ReadLookOfPage extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'address' => ['required', 'string', 'max:2000'],
            'css' => ['sometimes', 'nullable', 'string', 'max:2000000'],
            'again' => ['sometimes', 'boolean'],
        ];
    }
}
