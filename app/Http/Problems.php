<?php

declare(strict_types=1);

namespace App\Http;

use App\Host\DiskIsFull;
use Gnomic\Failure;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** What goes wrong with what an owner gave, as an answer: once for all, so that no controller catches anything. */
final class Problems
{
    private const BUSY = 'Gnomic is busy. Nothing is lost, and it will try again.';

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(Failure::class);
        $exceptions->render(fn (Failure $wrong): JsonResponse => new JsonResponse(
            ['message' => $wrong->getMessage()] + $wrong->about(),
            JsonResponse::HTTP_UNPROCESSABLE_ENTITY,
        ));
        $exceptions->dontReportWhen(self::isBusy(...));
        $exceptions->render(fn (Throwable $fault, Request $request): ?Response => match (true) {
            self::isBusy($fault) => self::unavailable($request, self::BUSY, ['Retry-After' => '2']),
            DiskIsFull::caused($fault) => self::unavailable($request, DiskIsFull::MESSAGE),
            default => null,
        });
    }

    /** Whether the database was held by others for longer than somebody waits. */
    private static function isBusy(Throwable $fault): bool
    {
        return $fault instanceof PDOException
            && preg_match('/database (?:table )?is locked|database is busy/i', $fault->getMessage()) === 1;
    }

    /** @param  array<string, string>  $headers */
    private static function unavailable(Request $request, string $message, array $headers = []): Response
    {
        return $request->is('api/*')
            ? new JsonResponse(['message' => $message], Response::HTTP_SERVICE_UNAVAILABLE, $headers)
            : new Response("$message\n", Response::HTTP_SERVICE_UNAVAILABLE, $headers + ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
