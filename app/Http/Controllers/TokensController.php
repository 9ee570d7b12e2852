<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\KeptLooks;
use App\Editions\SiteLooks;
use App\Http\Requests\ImportTokens;
use App\Models\Site;
use Gnomic\Dress\DesignTokens;
use Gnomic\Dress\Look;
use Gnomic\Json\Value;
use Gnomic\Text\Words;
use Illuminate\Http\JsonResponse;
use InvalidArgumentException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Looks as design tokens, to and from other programs. */
final class TokensController
{
    /** A look as design tokens, for other programs. */
    public function export(Site $site, SiteLooks $looks, string $key): JsonResponse
    {
        abort_unless($looks->of($site)->has($key), 404, 'There is no such look.');

        return new JsonResponse(
            DesignTokens::written($looks->of($site)->named($key)),
            headers: [
                'Content-Type' => 'application/design-tokens+json',
                'Content-Disposition' => "attachment; filename=\"$key.tokens.json\"",
            ],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /** Keeps a look that another program wrote. */
    public function import(ImportTokens $request, Site $site, KeptLooks $kept): JsonResponse
    {
        $given = $request->given();
        $body = json_decode((string) $request->getContent());
        try {
            [$look, $ignored] = DesignTokens::read('new', is_object($body) && isset($body->tokens) ? $body->tokens : null);
        } catch (InvalidArgumentException $wrong) {
            throw new UnprocessableEntityHttpException($wrong->getMessage(), $wrong);
        }
        $name = Words::filled(trim(Value::text($given['name'] ?? ''))) ?? $look->name;
        $key = $kept->keep($site, Look::of('new', $name, $look->about, $look->scheme, $look->light, $look->dark, $look->tokens));

        return new JsonResponse(['key' => $key, 'ignored' => array_slice($ignored, 0, 50)], JsonResponse::HTTP_CREATED);
    }
}
