<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\SecurityLog;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What was done, and has worked, goes into the log that the owner reads: "noted:export,Entries were exported". Where a way serves to bring
 * back as well, that has words of its own.
 */
final readonly class Noted
{
    public function __construct(private SecurityLog $log)
    {
    }

    public function handle(Request $request, Closure $next, string $kind, string $what, ?string $back = null): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $user = $request->user();
        if ($user instanceof User && $response->getStatusCode() < 400) {
            $isBack = $back !== null && ! $request->boolean('removed', true);
            $this->log->note($user->id, $kind, $isBack ? $back : $what, isAlike: $kind === 'export');
        }

        return $response;
    }
}
