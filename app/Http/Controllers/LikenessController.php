<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Entries\Duplicates;
use App\Http\Requests\JoinEntries;
use App\Http\Requests\PartEntry;
use App\Http\Requests\PlainText;
use App\Http\Resources\EntryResource;
use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The same opinion told at several places: looked into, parted, joined. */
final class LikenessController
{
    /** All that are told again of each other with an entry, why, and who speaks. */
    public function show(Request $request, Site $site, Duplicates $duplicates): JsonResponse
    {
        $entry = $this->found($site, PlainText::of($request, 'id'));
        $group = $duplicates->groupOf($entry);
        $ids = array_map(fn (EntryRecord $one): int => $one->id, $group);
        $reasons = DB::table('likenesses')->whereIn('entry_id', $ids)
            ->whereIn('other_id', $ids)
            ->where('verdict', '!=', 'parted')
            ->orderBy('id')
            ->get();

        return new JsonResponse(['group' => array_map(function (EntryRecord $one) use ($reasons): array {
            $reason = $reasons->first(fn (object $row): bool => $row->entry_id === $one->id || $row->other_id === $one->id);

            return [
                'speaks' => ! $one->duplicate,
                'score' => $reason === null ? null : Value::number($reason->score),
                'reason' => $reason?->reason,
            ] + EntryResource::make($one)->resolve();
        }, $group)]);
    }

    public function part(PartEntry $request, Site $site, Duplicates $duplicates): JsonResponse
    {
        $given = $request->given();

        $entry = $this->found($site, Value::text($given['id']));

        return new JsonResponse(['changed' => $duplicates->part($entry, 'Two duplicates were separated')]);
    }

    public function join(JoinEntries $request, Site $site, Duplicates $duplicates): JsonResponse
    {
        $given = $request->given();
        $changed = $duplicates->join(
            $this->found($site, Value::text(Value::list($given['ids'])[0])),
            $this->found($site, Value::text(Value::list($given['ids'])[1])),
            'Two entries were marked as duplicates',
        );

        return new JsonResponse(['changed' => $changed]);
    }

    private function found(Site $site, string $ref): EntryRecord
    {
        return EntryRecord::ofRefs($site, [$ref])[$ref] ?? abort(404, 'There is no such entry.');
    }
}
