<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Proof;
use App\Editions\Publish;
use App\Http\Resources\EntryResource;
use App\Models\Entry;
use App\Models\Site;
use App\Sift\SiteSieve;
use Gnomic\Brief\BriefReader;
use Gnomic\Sift\Reasons;
use Gnomic\Sift\Sieve;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What the bench asks while a brief is being made. Nothing is kept. */
final class BenchController
{
    private const PAGE = 30;

    public function proof(Request $request, Site $site, Proof $proof): JsonResponse
    {
        $given = $request->validate([
            'brief' => ['required', 'array'],
            'name' => ['sometimes', 'string', 'max:100'],
            'widths' => ['sometimes', 'array', 'max:6'],
            'widths.*' => ['integer', 'min:100', 'max:4000'],
        ]);

        return new JsonResponse($proof->of($site, BriefReader::read($given['brief']), $given['name'] ?? 'Reviews', array_map(intval(...), array_values($given['widths'] ?? []))));
    }

    /** The entries behind one number of the sieve, each with its reason. */
    public function behind(Request $request, Site $site, SiteSieve $sieve): JsonResponse
    {
        $given = $request->validate([
            'brief' => ['required', 'array'],
            'step' => ['required', 'string', 'max:40'],
            'kept' => ['required', 'boolean'],
            'from' => ['sometimes', 'integer', 'min:0'],
        ]);
        $brief = BriefReader::read($given['brief']);
        $from = (int) ($given['from'] ?? 0);
        $refs = $sieve->behind($site, $brief, Publish::seed($site->timezone), (string) $given['step'], (bool) $given['kept'], $from, self::PAGE);
        $entries = Entry::ofRefs($site, $refs);
        $rows = [];
        foreach ($refs as $index => $ref) {
            $entry = $entries[$ref] ?? null;
            if ($entry === null) {
                continue;
            }
            $facts = $entry->facts();
            $stopped = Sieve::of($brief)->stoppedBy($facts);
            $rows[] = ['reason' => match (true) {
                $stopped !== null => $stopped->reason($facts),
                $given['step'] === 'shown' && (bool) $given['kept'] => Reasons::shown($brief, $facts, $from + $index + 1),
                $given['step'] === 'shown' => Reasons::waits($brief),
                in_array($ref, $brief->pins, true) => 'You have pinned it: no rule keeps it out.',
                default => 'It passes every clause.',
            }] + EntryResource::make($entry)->resolve();
        }

        return new JsonResponse(['entries' => $rows, 'next' => count($refs) === self::PAGE ? $from + self::PAGE : null]);
    }
}
