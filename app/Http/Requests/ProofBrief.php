<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A brief whose proof is asked for, at which widths, and what the widget is called. */
final class ProofBrief extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'brief' => ['required', 'array'],
            'key' => ['sometimes', 'string', 'max:40'],
            'widths' => ['sometimes', 'array', 'list', 'max:6'],
            'widths.*' => ['integer', 'min:100', 'max:4000'],
        ];
    }
}
