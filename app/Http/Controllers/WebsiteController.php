<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\HostLocks;
use App\Http\Requests\WebAddress;
use App\Models\Site;
use App\Sources\Discovery\ReadWebsite;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Reads an owners own website in the background, for where people write about it. Nothing is connected. */
final class WebsiteController
{
    /** The owner's own website is read in the background, for what it tells of where people speak of it. Nothing is connected. */
    public function store(WebAddress $request, Site $site, Repository $kept, HostLocks $locks): JsonResponse
    {
        $token = ReadWebsite::begin($site, $request->whole(), $kept);

        return $this->show($site, $kept, $locks, $token)->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    public function show(Site $site, Repository $kept, HostLocks $locks, string $token): JsonResponse
    {
        $found = ReadWebsite::found($site, $token, $kept, $locks)
            ?? throw new NotFoundHttpException('This has expired. Start again.');

        return new JsonResponse(['token' => $token] + $found);
    }
}
