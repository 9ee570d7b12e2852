<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An address that somebody typed or pasted. */
final class WebAddress extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['address' => ['required', 'string', 'max:2000']];
    }

    /** With a scheme: https where none was given. */
    public function whole(): string
    {
        $address = trim($this->string('address')->value());

        return preg_match('~^[a-z][a-z0-9+.-]*://~i', $address) === 1 ? $address : "https://$address";
    }
}
