<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Words that are never shown, and what is held. */
final class ChangeRules extends Asked
{
    private const MOST = 5000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'never' => ['sometimes', 'array', 'max:'.self::MOST],
            'never.*' => ['string', 'min:1', 'max:100'],
            'hold' => ['sometimes', 'array'],
            'hold.words.*' => ['string', 'min:1', 'max:100'],
        ];
    }
}
