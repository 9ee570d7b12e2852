<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The address of a page. */
final class AddPage extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['address' => ['required', 'string', 'max:2000']];
    }
}
