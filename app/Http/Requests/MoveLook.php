<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gnomic\Dress\Moves;

/** A step of the look: calmer, rounder, in another accent. */
final class MoveLook extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'brief' => ['required', 'array'],
            'move' => ['required', 'string', 'in:accent,'.implode(',', array_column(Moves::cases(), 'value'))],
            'accent' => ['required_if:move,accent', 'string', 'regex:/^#[0-9a-fA-F]{6}$/'],
        ];
    }
}
