<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Two entries that are told as one. */
final class JoinEntries extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['ids' => ['required', 'array', 'size:2'], 'ids.*' => ['required', 'string', 'max:600', 'distinct']];
    }
}
