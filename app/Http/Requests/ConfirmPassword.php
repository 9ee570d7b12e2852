<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The password again. */
final class ConfirmPassword extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:200']];
    }
}
