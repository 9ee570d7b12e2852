<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** An entry to pin in a widget, or to let go. */
final class PinEntry extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['id' => ['required', 'string', 'max:600'], 'on' => ['required', 'boolean']];
    }
}
