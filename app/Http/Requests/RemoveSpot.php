<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Whether a spot goes or comes back. */
final class RemoveSpot extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['removed' => ['sometimes', 'boolean']];
    }
}
