<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A page of the site that the owner wants to see with links. */
final class OpenOwnPage extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['page' => ['sometimes', 'nullable', 'string', 'max:2000']];
    }
}
