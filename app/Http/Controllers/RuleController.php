<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Entries\EntryRules;
use App\Models\Site;
use Gnomic\Sift\Hold;
use Gnomic\Sift\Term;
use Gnomic\Sift\Terms;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The site's own rules: words never shown, and what waits for a decision. */
final class RuleController
{
    private const MOST = 5000;

    public function show(Site $site): JsonResponse
    {
        return new JsonResponse($this->told($site));
    }

    public function update(Request $request, Site $site, EntryRules $rules): JsonResponse
    {
        $given = $request->validate([
            'never' => ['sometimes', 'array', 'max:'.self::MOST],
            'never.*' => ['string', 'min:1', 'max:100'],
            'hold' => ['sometimes', 'array'],
            'hold.words.*' => ['string', 'min:1', 'max:100'],
        ]);
        if (isset($given['hold'])) {
            $rules->hold($site, Hold::read($given['hold']));
        }
        if (isset($given['never'])) {
            $rules->never($site, array_values(array_unique(array_map(strval(...), $given['never']))));
        }

        return new JsonResponse($this->told($site->refresh()));
    }

    /** @return array<string, mixed> */
    private function told(Site $site): array
    {
        $hold = Hold::read($site->hold);
        $doubts = Terms::doubts(
            'words',
            [...$site->neverWords(), ...$hold->words],
            fn (string $word): bool => Term::tryFrom($word) !== null,
        );

        return [
            'never' => $site->neverWords(),
            'hold' => $hold->toArray(),
            'barred' => $site->entries()->where('barred', true)->count(),
            'held' => $site->entries()->where('held', true)->count(),
            'doubts' => $doubts,
        ];
    }
}
