<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Site;
use App\Sources\Channels\Corkwall\CorkwallChannel;
use App\Sources\Connectable;
use Illuminate\Http\JsonResponse;

/** The boards that a token opens. */
final class BoardController
{
    public function __invoke(Site $site, CorkwallChannel $corkwall): JsonResponse
    {
        return new JsonResponse(['choices' => Connectable::of($site, 'corkwall', $corkwall->boards($site))]);
    }
}
