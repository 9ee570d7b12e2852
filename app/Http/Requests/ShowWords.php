<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Editions\Catalogues;
use Illuminate\Validation\Rule;

/** Words for visitors, and beside them those of another language. */
final class ShowWords extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(Catalogues $catalogues): array
    {
        return ['language' => ['nullable', 'string', Rule::in($catalogues->languages())]];
    }
}
