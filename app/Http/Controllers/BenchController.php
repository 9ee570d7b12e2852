<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\LayoutPictures;
use App\Bench\Proof;
use App\Entries\Sift\SiteSieve;
use App\Http\Requests\BriefBody;
use App\Http\Resources\EntryResource;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Sift\Loosening;
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
            'key' => ['sometimes', 'string', 'max:40'],
            'widths' => ['sometimes', 'array', 'max:6'],
            'widths.*' => ['integer', 'min:100', 'max:4000'],
        ]);

        return new JsonResponse($proof->of(
            $site,
            BriefBody::of($request),
            (string) ($given['key'] ?? 'proof'),
            array_map(intval(...), array_values($given['widths'] ?? [])),
        ));
    }

    /** The owner's own entries in every layout. */
    public function layouts(Request $request, Site $site, LayoutPictures $pictures): JsonResponse
    {
        $request->validate(['brief' => ['required', 'array']]);

        return new JsonResponse(['layouts' => $pictures->of($site, BriefBody::of($request))]);
    }

    /** The entries behind one number of the sieve, each with its reason. */
    public function behind(Request $request, Site $site): JsonResponse
    {
        $given = $request->validate([
            'brief' => ['required', 'array'],
            'step' => ['required', 'string', 'max:40'],
            'kept' => ['required', 'boolean'],
            'from' => ['sometimes', 'integer', 'min:0'],
        ]);
        $from = (int) ($given['from'] ?? 0);
        $brief = BriefBody::of($request);
        $step = (string) $given['step'];
        $rows = SiteSieve::of($site, $brief->criteria)->behind($step, (bool) $given['kept'], $from, self::PAGE);

        return new JsonResponse([
            'entries' => array_map(fn (array $row): array => ['reason' => $row[1]] + EntryResource::make($row[0])->resolve(), $rows),
            'looser' => array_map(
                fn (Loosening $looser): array => [
                    'text' => $looser->phrase,
                    'brief' => $brief->with(criteria: $looser->wanted)->toArray(),
                ],
                $this->looser($brief, $step),
            ),
            'next' => count($rows) === self::PAGE ? $from + self::PAGE : null,
        ]);
    }

    /** @return list<Loosening> a little looser, and without the clause */
    private function looser(Brief $brief, string $step): array
    {
        $looser = Loosening::of($brief->criteria, $step);

        return count($looser) > 2 ? [$looser[0], $looser[1], $looser[count($looser) - 1]] : $looser;
    }
}
