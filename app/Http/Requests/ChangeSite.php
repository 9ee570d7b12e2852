<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Editions\Catalogues;
use Illuminate\Validation\Rule;

/** What the owner sets for the whole site. */
final class ChangeSite extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(Catalogues $catalogues): array
    {
        return [
            'timezone' => ['sometimes', 'timezone:all'],
            'website' => ['sometimes', 'string', 'max:2000'],
            'allowed' => ['sometimes', 'nullable', 'array', 'max:50'],
            'allowed.*' => ['string', 'max:300'],
            'counts' => ['sometimes', 'boolean'],
            'languages' => ['sometimes', 'array', 'min:1'],
            'languages.*' => ['string', 'distinct', Rule::in($catalogues->languages())],
        ];
    }
}
