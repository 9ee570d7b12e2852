<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What a new widget is called, and its brief. */
final class MakeWidget extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:100'], 'brief' => ['sometimes', 'array']];
    }
}
