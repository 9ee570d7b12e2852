<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sources\Channels\Channels;
use Illuminate\Validation\Rule;

/** An address of a subject at a service, to keep or to forget. */
final class ChangeAddress extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(Channels $channels): array
    {
        return [
            'channel' => ['required', Rule::in(array_keys($channels->withAddresses()))],
            'address' => ['required', 'string', 'max:2000'],
            'keep' => ['required', 'boolean'],
        ];
    }
}
