<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Who comes in, and how they show it. */
final class ComeIn extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:200'], 'password' => ['required', 'string', 'max:200']];
    }
}
