<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Somebody who has forgotten a password. */
final class AskForPassword extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:200']];
    }
}
