<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Since when a subject is open again, and what else it is known as. */
final class ChangeSubject extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reopenedOn' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'identities' => ['sometimes', 'array', 'max:20'],
            'identities.*' => ['string', 'max:300'],
        ];
    }
}
