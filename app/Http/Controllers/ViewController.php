<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeepView;
use App\Models\Site;
use App\Models\View;
use Gnomic\Json\Value;
use Gnomic\Sift\Criteria;
use Illuminate\Http\JsonResponse;

/** Views of the entries that the owner has given a name. */
final class ViewController
{
    private const MOST = 50;

    public function index(Site $site): JsonResponse
    {
        $views = [];
        foreach (View::query()->where('site_id', $site->id)->orderBy('name')->get() as $view) {
            $views[] = ['id' => $view->id, 'name' => $view->name] + $view->wanted;
        }

        return new JsonResponse(['views' => $views]);
    }

    /** The same name again is the same view, changed. */
    public function store(KeepView $request, Site $site): JsonResponse
    {
        $given = $request->given();
        if ($site->views()->count() >= self::MOST) {
            abort(422, 'There are '.self::MOST.' views already. Remove one that is not used any more.');
        }
        $wanted = Value::members($given['wanted']);
        $wanted = Criteria::read($wanted['gather'] ?? [], $wanted['sift'] ?? []);
        $view = $site->views()->updateOrCreate(['name' => trim(Value::text($given['name']))], ['wanted' => [
            'wanted' => $wanted->toArray(),
            'state' => $given['state'] ?? null,
            'search' => Value::text($given['search'] ?? ''),
        ]]);

        return new JsonResponse(['id' => $view->id, 'name' => $view->name] + $view->wanted, JsonResponse::HTTP_CREATED);
    }

    public function destroy(Site $site, int $id): JsonResponse
    {
        $site->views()->whereKey($id)->firstOrFail()->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
