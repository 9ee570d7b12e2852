<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Catalogues;
use App\Http\Requests\ChangeSite;
use App\Http\Requests\TryHosts;
use App\Models\Site;
use App\Outbox\Outbox;
use App\Placing\Codes;
use App\Placing\SiteScript;
use Gnomic\Json\Value;
use Gnomic\Place\Check\AllowedHosts;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** The site that is looked after: its time zone, and the languages that its widgets speak to visitors. */
final class SiteController
{
    public function show(Site $site, Catalogues $catalogues, Codes $codes): JsonResponse
    {
        return new JsonResponse([
            'name' => $site->name,
            'address' => $site->address,
            'timezone' => $site->timezone,
            'website' => $site->front(),
            'allowed' => $site->allowed,
            'counts' => $site->counts,
            'tag' => $codes->site($site),
            'languages' => $site->spoken(),
            'offered' => array_map(
                fn (string $language, string $name): array => ['key' => $language, 'name' => $name],
                $catalogues->languages(),
                $catalogues->names(),
            ),
        ]);
    }

    public function update(
        ChangeSite $request,
        Site $site,
        Catalogues $catalogues,
        Outbox $outbox,
        Codes $codes,
        SiteScript $script,
    ): JsonResponse {
        $given = $request->given();
        $placed = $this->placed($given);
        DB::transaction(function () use ($site, $given, $placed, $outbox): void {
            $site->update(
                $placed + array_intersect_key($given, ['timezone' => true, 'counts' => true])
                    + (isset($given['languages']) ? ['languages' => Value::texts($given['languages'])] : []),
            );
            $outbox->site($site, 'The site was changed');
        });

        // Days begin by its time zone.
        $script->write($site->refresh());

        return $this->show($site, $catalogues, $codes);
    }

    /** Who would be locked out by addresses, before anybody is: hosts on which widgets were seen in the last 30 days. */
    public function hosts(TryHosts $request, Site $site): JsonResponse
    {
        $given = $request->given();
        $allowed = $this->placed($given)['allowed'] ?? null;
        $own = $site->replicate()->fill(['allowed' => $allowed])->hosts();
        $out = [];
        $seen = DB::table('sightings')->join('widgets', 'widgets.id', '=', 'sightings.widget_id')->where('widgets.site_id', $site->id)
            ->where('last_at', '>', now()->subDays(30))->distinct()->pluck('page');
        foreach ($seen as $page) {
            // Pages of the site's own are known by their path alone.
            $host = str_starts_with(Value::text($page), '/') ? '' : Value::text(strtok(Value::text($page), '/'));
            [$name, $port] = explode(':', $host, 2) + [1 => ''];
            if ($host !== '' && $allowed !== null && ! AllowedHosts::of($own)->allows($name, $port === '' ? null : (int) $port)) {
                $out[$host] = true;
            }
        }

        return new JsonResponse(['hosts' => $own, 'lockedOut' => array_map(strval(...), array_keys($out))]);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> columns
     */
    private function placed(array $given): array
    {
        $columns = [];
        if (isset($given['website'])) {
            $website = trim(Value::text($given['website']));
            // "localhost:8080" has no scheme; "ftp:" and "javascript:" are none of the web's.
            $isOther = preg_match('~^(?!https?://)[a-z][a-z0-9+.-]*:(?!\d{1,5}(?:[/?#]|$))~i', $website) === 1;
            $website = preg_match('~^https?://~i', $website) === 1 ? $website : "https://$website";
            if ($isOther || Address::plainHost($website) === null) {
                throw new UnprocessableEntityHttpException('Give the address of the front page, such as https://quillmoor.example/.');
            }
            $columns['website'] = (string) preg_replace('~^(https?://[^/?#]+)$~i', '$1/', $website);
        }
        if (array_key_exists('allowed', $given)) {
            $columns['allowed'] = $given['allowed'] === null ? null : array_values(array_unique(array_map(
                fn (string $host): string => AllowedHosts::tidy($host) ?? throw new UnprocessableEntityHttpException(
                    Echoed::quoted($host).' is no host. Write it as quillmoor.example, *.quillmoor.example or localhost:8080.',
                ),
                Value::texts($given['allowed']),
            )));
        }

        return $columns;
    }
}
