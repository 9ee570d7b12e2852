<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Catalogues;
use App\Models\Site;
use App\Outbox\Outbox;
use Gnomic\Text\Catalogue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** The site that is looked after: its time zone, and the languages that its widgets speak to visitors. */
final class SiteController
{
    public function show(Site $site, Catalogues $catalogues): JsonResponse
    {
        return new JsonResponse([
            'name' => $site->name,
            'address' => $site->address,
            'timezone' => $site->timezone,
            'languages' => $site->spoken(),
            'offered' => array_values(array_map(
                fn (Catalogue $catalogue): array => ['key' => $catalogue->language, 'name' => $catalogue->name],
                $catalogues->all(),
            )),
        ]);
    }

    public function update(Request $request, Site $site, Catalogues $catalogues, Outbox $outbox): JsonResponse
    {
        $given = $request->validate([
            'timezone' => ['sometimes', 'timezone:all'],
            'languages' => ['sometimes', 'array', 'min:1'],
            'languages.*' => ['string', 'distinct', Rule::in(array_keys($catalogues->all()))],
        ]);
        DB::transaction(function () use ($site, $given, $outbox): void {
            $site->update(
                array_intersect_key($given, ['timezone' => true])
                    + (isset($given['languages']) ? ['languages' => array_values($given['languages'])] : []),
            );
            $outbox->site($site, 'The site was changed');
        });

        return $this->show($site->refresh(), $catalogues);
    }
}
