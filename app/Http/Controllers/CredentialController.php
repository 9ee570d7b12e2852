<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Keys and tokens that the owner pastes. */
final class CredentialController
{
    public function __invoke(Request $request, Site $site, string $channel): JsonResponse
    {
        $given = $request->validate(['secret' => ['required', 'string', 'max:500']]);
        $site->credentials()->updateOrCreate(['channel' => $channel], ['secret' => trim((string) $given['secret'])]);

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
