<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Entries\EntryRules;
use App\Http\Requests\ChangeRules;
use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Sift\Hold;
use Gnomic\Sift\Term;
use Gnomic\Sift\Terms;
use Illuminate\Http\JsonResponse;

/** The site's own rules: words never shown, and what waits for a decision. */
final class RuleController
{
    public function show(Site $site): JsonResponse
    {
        return new JsonResponse($this->told($site));
    }

    public function update(ChangeRules $request, Site $site, EntryRules $rules): JsonResponse
    {
        $given = $request->given();
        if (isset($given['hold'])) {
            $rules->hold($site, Hold::read($given['hold']));
        }
        if (isset($given['never'])) {
            $rules->never($site, array_values(array_unique(Value::texts($given['never']))));
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
