<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\HostLocks;
use App\Http\Requests\AddPage;
use App\Http\Requests\ListPages;
use App\Http\Resources\PageResource;
use App\Models\Page;
use App\Models\Site;
use App\Placing\Pages\CheckDuePages;
use App\Placing\Pages\CheckPage;
use App\Placing\Pages\FindPages;
use App\Placing\Pages\ReadPages;
use Gnomic\Json\Value;
use Gnomic\Text\Address;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** The site's pages: where they come from, what is on them, and whether it is there. */
final class PageController
{
    private const AT_ONCE = 100;

    private const CHECKED_AT_ONCE = 3;

    public function index(ListPages $request, Site $site): JsonResponse
    {
        $given = $request->given();
        $query = $this->wanted($site, $given);
        $total = $query->count();
        $query->with(['findings' => ['widget']])->orderBy('branch')->orderBy('path')->offset(
            Value::whole($given['after'] ?? 0),
        )->limit(self::AT_ONCE);
        $branches = DB::table('pages')->where('site_id', $site->id)->groupBy('branch')->orderBy('branch')->limit(200)
            ->get(['branch', DB::raw('COUNT(*) AS pages')]);

        return new JsonResponse([
            'pages' => PageResource::collection($query->get()),
            'total' => $total,
            'all' => $site->pages()->count(),
            'branches' => $branches->map(fn (object $row): array => [
                'branch' => Value::text($row->branch),
                'pages' => Value::whole($row->pages),
            ]),
            'read' => $site->pages_read === null ? null : $site->pages_read + ['at' => $site->pages_read_at?->toRfc3339String()],
            'website' => $site->front(),
        ]);
    }

    /** A page by hand. */
    public function store(AddPage $request, Site $site, FindPages $find): JsonResponse
    {
        $given = $request->given();
        $address = Address::resolved(trim(Value::text($given['address'])), $site->front());
        if (! Address::isWeb($address)) {
            throw new UnprocessableEntityHttpException('Give a path such as /visit, or a whole address with https:// before it.');
        }
        if (Address::origin($address) !== Address::origin($site->front())) {
            $own = parse_url($site->front(), PHP_URL_HOST);
            throw new UnprocessableEntityHttpException("That page is not on $own. Where the site has moved, change its address first.");
        }
        $page = $find->add($site, (string) preg_replace('/#.*$/', '', $address));

        return PageResource::make($page)->response()->setStatusCode(
            $page->wasRecentlyCreated ? JsonResponse::HTTP_CREATED : JsonResponse::HTTP_OK,
        );
    }

    /** Reads the sitemap, or follows links, in the background. */
    public function read(Site $site): JsonResponse
    {
        ReadPages::begin($site);

        return new JsonResponse(['state' => 'reading'], JsonResponse::HTTP_ACCEPTED);
    }

    public function show(Site $site, int $id): PageResource
    {
        return PageResource::make($site->pages()->with(['findings' => ['widget']])->findOrFail($id));
    }

    /** Looks at a page now, as a visitor would. */
    public function check(Site $site, CheckPage $check, HostLocks $locks, int $id): PageResource
    {
        /** @var Page $page */
        $page = $site->pages()->findOrFail($id);
        $lock = $locks->oneOf('check-page', self::CHECKED_AT_ONCE);
        if ($lock === null) {
            throw new TooManyRequestsHttpException(5, 'Gnomic is busy checking other pages. Try again in a moment.');
        }
        try {
            $check->check($page, isAsked: true);
        } finally {
            $lock->release();
        }

        return $this->show($site, $id);
    }

    /** Looks at all pages that widgets should be on, in the background. */
    public function checkAll(Site $site): JsonResponse
    {
        dispatch(new CheckDuePages($site->id, now: true));

        return new JsonResponse(['state' => 'checking'], JsonResponse::HTTP_ACCEPTED);
    }

    public function destroy(Site $site, int $id): JsonResponse
    {
        $site->pages()->findOrFail($id)->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return HasMany<Page, Site>
     */
    private function wanted(Site $site, array $given): HasMany
    {
        $query = $site->pages();
        $search = trim(Value::text($given['search'] ?? ''));
        if ($search !== '') {
            $like = '%'.addcslashes($search, '%_\\').'%';
            $query->where(
                fn ($any) => $any->whereRaw("path LIKE ? ESCAPE '\\'", [$like])->orWhereRaw("title LIKE ? ESCAPE '\\'", [$like]),
            );
        }
        if (isset($given['branch'])) {
            $query->where('branch', $given['branch']);
        }
        match ($given['state'] ?? null) {
            'missing' => $query->whereIn(
                'id',
                DB::table('findings')->where('site_id', $site->id)->whereNotNull('missing_since')->select('page_id'),
            ),
            'placed' => $query->whereIn('id', DB::table('findings')->where('site_id', $site->id)->select('page_id')),
            default => null,
        };

        return $query;
    }
}
