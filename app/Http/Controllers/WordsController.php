<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Catalogues;
use App\Http\Requests\KeepWords;
use App\Http\Requests\ShowWords;
use App\Models\Site;
use App\Outbox\Outbox;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** The words that visitors read. */
final class WordsController
{
    /** The words that visitors read, and those that a site has instead. */
    public function show(ShowWords $request, Site $site, Catalogues $catalogues): JsonResponse
    {
        return $this->told($site, $catalogues, Value::textOrNull($request->given()['language'] ?? null));
    }

    /** @param  string|null  $beside  language whose words are told as well */
    private function told(Site $site, Catalogues $catalogues, ?string $beside = null): JsonResponse
    {
        $names = $catalogues->names();

        return new JsonResponse([
            'language' => $site->spoken()[0],
            'usual' => (object) $catalogues->of($site->spoken()[0])->messages(),
            'beside' => $beside === null ? null : (object) $catalogues->of($beside)->messages(),
            'own' => $site->words ?? [],
            'languages' => array_map(
                fn (string $key, string $name): array => ['key' => $key, 'name' => $name],
                array_keys($names),
                array_values($names),
            ),
        ]);
    }

    public function update(KeepWords $request, Site $site, Catalogues $catalogues, Outbox $outbox): JsonResponse
    {
        $given = $request->given();
        $own = [];
        foreach (array_map(Value::members(...), Value::list($given['own'])) as $one) {
            $wrong = $catalogues->of(
                Value::text($one['language'] ?? $site->spoken()[0]),
            )->wrong(Value::text($one['key']), Value::text($one['says']));
            if ($wrong !== null) {
                throw new UnprocessableEntityHttpException($wrong);
            }
            $own[] = [
                'key' => Value::text($one['key']),
                'language' => Value::textOrNull($one['language'] ?? null),
                'says' => Value::text($one['says']),
            ];
        }
        DB::transaction(function () use ($site, $own, $outbox): void {
            $site->update(['words' => $own]);
            $outbox->site($site, 'The words for visitors were changed');
        });

        return $this->told($site->refresh(), $catalogues);
    }
}
