<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A key or token that the owner got from a service. */
final class KeepCredential extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['secret' => ['required', 'string', 'max:500']];
    }
}
