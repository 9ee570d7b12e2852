<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Site;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The site that a signed-in owner is looking after: everything a controller touches is asked from it. */
final class CurrentSite
{
    public function handle(Request $request, Closure $next): Response
    {
        /** @var User $user */
        $user = $request->user();
        $site = $user->sites()->orderBy('sites.id')->first() ?? abort(403, 'You have no site yet.');
        app()->instance(Site::class, $site);

        /** @var Response $response */
        $response = $next($request);

        return $response;
    }
}
