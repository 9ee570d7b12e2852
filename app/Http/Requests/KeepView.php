<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Entries\Listing\Listing;
use Illuminate\Validation\Rule;

/** A view of the entries, by name. */
final class KeepView extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'wanted' => ['present', 'array'],
            'state' => ['nullable', Rule::in(Listing::STATES)],
            'search' => ['nullable', 'string', 'max:200'],
        ];
    }
}
