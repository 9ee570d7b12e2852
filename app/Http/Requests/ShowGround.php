<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which page the proof stands on. */
final class ShowGround extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['address' => ['sometimes', 'string', 'max:2000']];
    }
}
