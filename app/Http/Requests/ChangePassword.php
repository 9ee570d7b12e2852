<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A new password, with the one that is held now. */
final class ChangePassword extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['current' => ['required', 'string', 'max:200'], 'password' => ['required', 'string', 'max:200']];
    }
}
