<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which column is what, and which order dates are in. */
final class ChooseColumns extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'columns' => ['sometimes', 'array', 'max:30'], 'columns.*' => ['integer', 'min:0', 'max:200'],
            'dates' => ['sometimes', 'nullable', 'in:day first,month first'],
        ];
    }
}
