<?php

declare(strict_types=1);

namespace App\Http;

use App\Fetching\FetchFailed;
use App\Pictures\PictureIsWrong;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Json\MemberIsWrong;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;

/** What goes wrong with what an owner gave, as an answer: once for all, so that no controller catches anything. */
final class Problems
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([
            BriefIsWrong::class,
            MemberIsWrong::class,
            PayloadIsUnreadable::class,
            FetchFailed::class,
            TableIsWrong::class,
            PictureIsWrong::class,
        ]);
        $exceptions->render(fn (BriefIsWrong $wrong): JsonResponse => self::say($wrong->getMessage(), ['pointer' => $wrong->pointer]));
        $exceptions->render(fn (MemberIsWrong $wrong): JsonResponse => self::say($wrong->getMessage(), ['pointer' => $wrong->pointer]));
        $exceptions->render(fn (PayloadIsUnreadable $wrong): JsonResponse => self::say($wrong->getMessage()));
        $exceptions->render(fn (FetchFailed $wrong): JsonResponse => self::say(
            $wrong->getMessage(),
            array_filter(['needs' => $wrong->needs]),
        ));
        $exceptions->render(fn (TableIsWrong $wrong): JsonResponse => self::say($wrong->getMessage()));
        $exceptions->render(fn (PictureIsWrong $wrong): JsonResponse => self::say($wrong->getMessage()));
    }

    /** @param  array<string, mixed>  $more */
    private static function say(string $message, array $more = []): JsonResponse
    {
        return new JsonResponse(['message' => $message] + $more, JsonResponse::HTTP_UNPROCESSABLE_ENTITY);
    }
}
