<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeepCredential;
use App\Models\Site;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;

/** Keys and tokens that the owner pastes. */
final class CredentialController
{
    public function __invoke(KeepCredential $request, Site $site, string $channel): JsonResponse
    {
        $given = $request->given();
        $site->credentials()->updateOrCreate(['channel' => $channel], ['secret' => trim(Value::text($given['secret']))]);

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
