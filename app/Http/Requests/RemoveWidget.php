<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Whether a widget goes or comes back, and whether its code stays on pages. */
final class RemoveWidget extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['removed' => ['sometimes', 'boolean'], 'stays' => ['sometimes', 'boolean']];
    }
}
