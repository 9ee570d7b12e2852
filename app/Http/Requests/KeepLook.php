<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A look that the site keeps, as it stands on the bench. */
final class KeepLook extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'min:1', 'max:60'], 'brief' => ['required', 'array']];
    }
}
