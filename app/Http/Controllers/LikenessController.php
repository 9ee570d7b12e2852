<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Refresh;
use App\Http\Resources\EntryResource;
use App\Likeness\Duplicates;
use App\Models\Entry;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The same opinion told at several places: looked into, parted, joined. */
final class LikenessController
{
    /** All that are told again of each other with an entry, why, and who speaks. */
    public function show(Request $request, Site $site, Duplicates $duplicates): JsonResponse
    {
        $entry = $this->found($site, (string) $request->query('id'));
        $group = $duplicates->groupOf($entry);
        $ids = array_map(fn (Entry $one): int => $one->id, $group);
        $reasons = DB::table('likenesses')->whereIn('entry_id', $ids)->whereIn('other_id', $ids)->where('verdict', '!=', 'parted')->orderBy('id')->get();

        return new JsonResponse(['group' => array_map(function (Entry $one) use ($reasons): array {
            $reason = $reasons->first(fn (object $row): bool => $row->entry_id === $one->id || $row->other_id === $one->id);

            return ['speaks' => ! $one->duplicate, 'score' => $reason === null ? null : (float) $reason->score, 'reason' => $reason?->reason] + EntryResource::make($one)->resolve();
        }, $group)]);
    }

    public function part(Request $request, Site $site, Duplicates $duplicates, Refresh $refresh): JsonResponse
    {
        $given = $request->validate(['id' => ['required', 'string', 'max:600']]);
        $changes = $duplicates->part($this->found($site, (string) $given['id']));

        return new JsonResponse(['changed' => count($changes), 'editions' => $refresh->after($site, $changes, 'Two entries were parted')]);
    }

    public function join(Request $request, Site $site, Duplicates $duplicates, Refresh $refresh): JsonResponse
    {
        $given = $request->validate(['ids' => ['required', 'array', 'size:2'], 'ids.*' => ['required', 'string', 'max:600', 'distinct']]);
        $changes = $duplicates->join($this->found($site, (string) $given['ids'][0]), $this->found($site, (string) $given['ids'][1]));

        return new JsonResponse(['changed' => count($changes), 'editions' => $refresh->after($site, $changes, 'Two entries were joined')]);
    }

    private function found(Site $site, string $ref): Entry
    {
        return Entry::ofRefs($site, [$ref])[$ref] ?? abort(404, 'There is no such entry.');
    }
}
