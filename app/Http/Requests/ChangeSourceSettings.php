<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What the owner sets for a source. */
final class ChangeSourceSettings extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'string', 'min:1', 'max:100'],
            'cadence' => ['sometimes', 'integer', 'min:60', 'max:2592000'],
            'connected' => ['sometimes', 'boolean'],
            'subject' => ['sometimes', 'nullable', 'string', 'max:100'],
            'showsGone' => ['sometimes', 'boolean'],
            'acceptsLoss' => ['sometimes', 'boolean'],
            'sign' => ['sometimes', 'nullable', 'string', 'max:100'],
            'profile' => ['sometimes', 'array'],
            'profile.name' => ['nullable', 'string', 'max:100'],
            'profile.picture' => ['nullable', 'url:http,https', 'max:2000'],
            'profile.bio' => ['nullable', 'string', 'max:500'],
        ];
    }
}
