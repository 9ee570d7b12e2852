<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Somebody who signs in. */
final class SignInWithPassword extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:200'], 'password' => ['required', 'string', 'max:200']];
    }
}
