<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What a place is looked up by: its name and town, or its address. */
final class LookUpPlace extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['query' => ['required', 'string', 'max:2000']];
    }
}
