<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Models\Site;
use Gnomic\Edition\Input\Account;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Text\Address;

/** An account as its owner wants it shown: its own posts carry that name and picture instead of what the service has. */
final class AccountProfiles
{
    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    public function on(Site $site, array $entries): array
    {
        $profiles = [];
        foreach ($site->sources()->whereNotNull('profile')->where('address', 'photos')->get() as $source) {
            $profiles[$source->key] = $source->profile ?? [];
        }

        return $profiles === [] ? $entries : array_map(function (Entry $entry) use ($profiles): Entry {
            $profile = $profiles[(string) $entry->source] ?? null;

            return $profile === null
                ? $entry
                : $entry->with(author: new Author(
                    $profile['name'] ?? $entry->author->name,
                    $entry->author->role,
                    $entry->author->place,
                    $entry->author->url,
                    $profile['picture'] ?? $entry->author->image,
                ));
        }, $entries);
    }

    /** @return array<string, Account> by the key of the source */
    public function accounts(Site $site): array
    {
        $accounts = [];
        foreach ($site->sources()->whereNotNull('profile')->get() as $source) {
            $profile = $source->profile ?? [];
            $accounts[$source->key] = new Account(
                $profile['name'] ?? $source->name,
                $profile['picture'] ?? null,
                $profile['bio'] ?? null,
                Address::webOrNull($source->home, null),
            );
        }

        return $accounts;
    }
}
