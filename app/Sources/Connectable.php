<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Site;

/** What an account offers to connect, with whether it is connected already. */
final class Connectable
{
    /**
     * @param  list<array{id: string, name: string, detail: string}>  $choices
     * @return list<array{id: string, name: string, detail: string, connected: bool}>
     */
    public static function of(Site $site, string $channel, array $choices): array
    {
        $connected = $site->sources()->where('channel', $channel)->whereNull('disconnected_at')->pluck('address')->all();

        return array_map(fn (array $choice): array => $choice + ['connected' => in_array($choice['id'], $connected, true)], $choices);
    }
}
