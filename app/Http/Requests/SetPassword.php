<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A new password, with the token from the e-mail. */
final class SetPassword extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:200'],
            'token' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }
}
