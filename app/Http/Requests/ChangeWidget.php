<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Another name of a widget, or another brief. */
final class ChangeWidget extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['sometimes', 'string', 'min:1', 'max:100'], 'brief' => ['sometimes', 'array']];
    }
}
