<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Catalogues;
use App\Http\Requests\KeepWords;
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
    public function show(Site $site, Catalogues $catalogues): JsonResponse
    {
        return new JsonResponse([
            'usual' => (object) $catalogues->of($site->spoken()[0])->messages(),
            'own' => $site->words ?? [],
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

        return $this->show($site->refresh(), $catalogues);
    }
}
