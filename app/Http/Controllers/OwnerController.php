<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\KnowsHost;
use App\Http\Requests\OpenOwnPage;
use App\Models\Site;
use App\Models\User;
use App\Placing\Owner\OwnerLinks;
use Gnomic\Json\Value;
use Gnomic\Text\Address;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Links on the owner's own pages: how they are opened, and what they say. */
final class OwnerController
{
    use KnowsHost;

    /** Widgets of one page. */
    private const MOST = 100;

    /** The address that opens a page with the links on it. */
    public function open(OpenOwnPage $request, Site $site, OwnerLinks $links): JsonResponse
    {
        $given = $request->given();
        $page = Value::text($given['page'] ?? $site->front());
        $own = Address::plainHost($site->front());
        if ($own === null || Address::plainHost($page) !== $own) {
            throw new UnprocessableEntityHttpException("Give the address of a page of {$site->front()}.");
        }
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse(['address' => $links->to($site, $page, $user->id)]);
    }

    /** What the links say of the widgets on the page. Public: the token is what lets somebody see it, once. */
    public function views(Request $request, OwnerLinks $links): JsonResponse
    {
        $token = $request->query('token');
        $page = $request->query('page');
        $asked = $request->query('keys');
        $siteId = is_string($token) && is_string($page) ? $links->taken($token, $page) : null;
        $keys = array_slice(explode(',', is_string($asked) ? $asked : ''), 0, self::MOST);
        $site = $siteId === null ? null : Site::query()->find($siteId);
        $headers = ['Access-Control-Allow-Origin' => '*', 'Cache-Control' => 'no-store'];
        if (! $site instanceof Site) {
            return new JsonResponse(['message' => 'Open the page from the studio again.'], JsonResponse::HTTP_FORBIDDEN, $headers);
        }
        $today = now($site->timezone)->format('Y-m-d');
        $views = DB::table('counted')->join('widgets', 'widgets.id', '=', 'counted.widget_id')->where('widgets.site_id', $site->id)
            ->where('day', $today)->groupBy('of')->selectRaw('COALESCE(variant_of, widgets.id) AS of, SUM(views) AS views')
            ->pluck('views', 'of');
        $host = $this->host();
        $query = $site->allWidgets();
        $all = $query->whereNull('removed_at')->get()->keyBy('id');
        $widgets = [];
        foreach ($all as $widget) {
            if (! in_array($widget->key, $keys, true)) {
                continue;
            }
            $base = $widget->variant_of === null ? $widget : ($all[$widget->variant_of] ?? $widget);
            $widgets[$widget->key] = [
                'name' => $base->name,
                'bench' => "$host/widgets/$base->key",
                'views' => Value::whole($views[$base->id] ?? 0),
            ];
        }

        return new JsonResponse(['widgets' => (object) $widgets], 200, $headers);
    }
}
