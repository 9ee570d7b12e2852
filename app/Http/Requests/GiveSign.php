<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A picture that stands for a service. */
final class GiveSign extends Asked
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['picture' => ['required', 'file', 'max:10240']];
    }
}
