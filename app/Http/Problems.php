<?php

declare(strict_types=1);

namespace App\Http;

use App\Fetching\FetchFailed;
use App\Host\DiskIsFull;
use App\Pictures\PictureIsWrong;
use App\Placing\TooManyForms;
use App\Placing\TooManySpots;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Place\Pattern\PatternIsWrong;
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
        $exceptions->dontReport([
            BriefIsWrong::class,
            MemberIsWrong::class,
            PayloadIsUnreadable::class,
            FetchFailed::class,
            TableIsWrong::class,
            PictureIsWrong::class,
            PatternIsWrong::class,
            TooManyForms::class,
            TooManySpots::class,
        ]);
        $exceptions->render(fn (BriefIsWrong $wrong): JsonResponse => self::say($wrong->getMessage(), ['pointer' => $wrong->pointer]));
        $exceptions->render(fn (MemberIsWrong $wrong): JsonResponse => self::say($wrong->getMessage(), ['pointer' => $wrong->pointer]));
        $exceptions->render(fn (PayloadIsUnreadable $wrong): JsonResponse => self::say($wrong->getMessage()));
        $exceptions->render(fn (FetchFailed $wrong): JsonResponse => self::say(
            $wrong->getMessage(),
            array_filter(['needs' => $wrong->needs]),
        ));
        foreach ([TableIsWrong::class, PatternIsWrong::class, TooManyForms::class, TooManySpots::class] as $type) {
            $exceptions->render(fn (Throwable $wrong): ?JsonResponse => $wrong instanceof $type ? self::say($wrong->getMessage()) : null);
        }
        $exceptions->dontReportWhen(self::isBusy(...));
        $exceptions->render(fn (Throwable $fault, Request $request): ?Response => match (true) {
            self::isBusy($fault) => self::unavailable($request, self::BUSY, ['Retry-After' => '2']),
            DiskIsFull::caused($fault) => self::unavailable($request, DiskIsFull::MESSAGE),
            default => null,
        });
        $exceptions->render(fn (PictureIsWrong $wrong): JsonResponse => self::say($wrong->getMessage()));
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

    /** @param  array<string, mixed>  $more */
    private static function say(string $message, array $more = []): JsonResponse
    {
        return new JsonResponse(['message' => $message] + $more, JsonResponse::HTTP_UNPROCESSABLE_ENTITY);
    }
}
