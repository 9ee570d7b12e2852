<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Another name of a kept look, or other tokens. */
final class ChangeLook extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['sometimes', 'string', 'min:1', 'max:60'], 'brief' => ['sometimes', 'array']];
    }
}
