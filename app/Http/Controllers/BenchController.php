<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\LayoutPictures;
use App\Bench\Proof;
use App\Bench\SentenceContexts;
use App\Entries\Sift\SiteSieve;
use App\Http\Requests\BriefBody;
use App\Http\Requests\LookBehindStep;
use App\Http\Requests\ProofBrief;
use App\Http\Requests\WithBrief;
use App\Http\Resources\EntryResource;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Gnomic\Sift\Loosening;
use Illuminate\Http\JsonResponse;

/** What the bench asks while a brief is being made. Nothing is kept. */
final class BenchController
{
    private const PAGE = 30;

    public function proof(ProofBrief $request, Site $site, Proof $proof): JsonResponse
    {
        $given = $request->given();

        return new JsonResponse($proof->of(
            $site,
            BriefBody::of($request),
            Value::text($given['key'] ?? 'proof'),
            Value::wholes($given['widths'] ?? []),
        ));
    }

    /** The owner's own entries in every layout. */
    public function layouts(WithBrief $request, Site $site, LayoutPictures $pictures): JsonResponse
    {
        $request->given();

        return new JsonResponse(['layouts' => $pictures->of($site, BriefBody::of($request))]);
    }

    /** The entries behind one number of the sieve, each with its reason. */
    public function behind(LookBehindStep $request, Site $site, SentenceContexts $contexts): JsonResponse
    {
        $given = $request->given();
        $from = Value::whole($given['from'] ?? 0);
        $brief = BriefBody::of($request);
        $step = Value::text($given['step']);
        $rows = SiteSieve::of($site, $brief->criteria, $contexts->site($site, $brief->criteria))
            ->behind($step, (bool) $given['kept'], $from, self::PAGE);

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
