<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Refresh;
use App\Http\Resources\EntryResource;
use App\Models\Entry;
use App\Models\Site;
use App\Rounds\Change;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Everything that was gathered, to read and to put right. */
final class EntryController
{
    private const PAGE = 40;

    public function index(Request $request, Site $site): JsonResponse
    {
        $given = $request->validate([
            'search' => ['nullable', 'string', 'max:200'],
            'source' => ['nullable', 'string', 'max:100'],
            'stars' => ['nullable', 'in:1,2,3,4,5,none'],
            'state' => ['nullable', 'in:hidden,gone,duplicate'],
            'before' => ['nullable', 'integer', 'min:0'],
        ]);
        $query = Entry::query()->where('site_id', $site->id)->withCount(['revisions', 'told']);
        $this->narrow($query, array_filter($given, fn (mixed $value): bool => $value !== null && $value !== ''));
        $offset = (int) ($given['before'] ?? 0);
        $count = (clone $query)->count();

        return new JsonResponse([
            'count' => $count,
            'entries' => EntryResource::collection($query->orderByRaw('published IS NULL, published DESC, id DESC')->offset($offset)->limit(self::PAGE)->get()),
            'next' => $offset + self::PAGE < $count ? $offset + self::PAGE : null,
        ]);
    }

    /** Hides entries in every widget, or shows them again; those that are out are rendered again at once. */
    public function hide(Request $request, Site $site, Refresh $refresh): JsonResponse
    {
        $given = $request->validate(['ids' => ['required', 'array', 'max:500'], 'ids.*' => ['string', 'max:600'], 'hidden' => ['required', 'boolean']]);
        $hidden = (bool) $given['hidden'];
        $changes = DB::transaction(function () use ($site, $given, $hidden): array {
            $changes = [];
            foreach (Entry::ofRefs($site, array_values($given['ids'])) as $entry) {
                $before = $entry->facts();
                if ($before->hidden !== $hidden) {
                    $entry->update(['hidden' => $hidden]);
                    $changes[] = new Change($before, $entry->facts());
                }
            }

            return $changes;
        });
        $editions = $refresh->after($site, $changes, $hidden ? 'An entry was hidden' : 'An entry was shown again');

        return new JsonResponse(['changed' => count($changes), 'editions' => $editions]);
    }

    /**
     * @param  Builder<Entry>  $query
     * @param  array<string, mixed>  $given
     */
    private function narrow(Builder $query, array $given): void
    {
        if (isset($given['source'])) {
            $query->where('source', $given['source']);
        }
        if (isset($given['stars'])) {
            $given['stars'] === 'none' ? $query->whereNull('stars')
                : $query->where('stars', '>=', (int) $given['stars'])->where('stars', '<', (int) $given['stars'] + 1);
        }
        if (isset($given['state'])) {
            $given['state'] === 'gone' ? $query->whereNotNull('gone_at') : $query->where((string) $given['state'], true);
        }
        foreach (preg_split('/\s+/u', (string) ($given['search'] ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            // The index knows sequences of three characters and more; shorter words are looked for in the text itself.
            mb_strlen($word) >= 3
                ? $query->whereIn('id', fn ($found) => $found->from('entry_words')->select('rowid')->whereRaw('entry_words MATCH ?', ['"'.str_replace('"', '""', $word).'"']))
                : $query->whereRaw("payload LIKE ? ESCAPE '\\'", ['%'.addcslashes($word, '%_\\').'%']);
        }
    }
}
