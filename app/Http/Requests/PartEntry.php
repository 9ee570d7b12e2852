<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** An entry that is not told twice after all. */
final class PartEntry extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['id' => ['required', 'string', 'max:600']];
    }
}
