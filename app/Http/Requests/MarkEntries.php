<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Entries to hide, to hold or to label, or the opposite. */
final class MarkEntries extends Asked
{
    /** Entries that are picked at once, for what is done to many. */
    private const MOST = 5000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ids' => ['required', 'array', 'max:'.self::MOST],
            'ids.*' => ['string', 'max:600'],
            'hidden' => ['required_without_all:held,label', 'prohibits:held,label', 'boolean'],
            'held' => ['prohibits:label', 'boolean'],
            'label' => ['string', 'max:100'],
            'on' => ['required_with:label', 'boolean'],
        ];
    }
}
