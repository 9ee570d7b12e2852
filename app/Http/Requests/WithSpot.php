<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A spot, and nothing beside it. */
final class WithSpot extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['spot' => ['required', 'array']];
    }
}
