<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\KeptLooks;
use App\Editions\SiteLooks;
use App\Http\Requests\ImportTokens;
use App\Models\Site;
use Gnomic\Dress\DesignTokens;
use Gnomic\Dress\Look;
use Gnomic\Dress\Tokens\ForeignTokens;
use Gnomic\Dress\Tokens\TokenMapping;
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

    /**
     * Keeps a look that another program wrote. Where its tokens have other names than ours, and nobody has said which is which, that is
     * asked first, with what their names propose.
     */
    public function import(ImportTokens $request, Site $site, KeptLooks $kept): JsonResponse
    {
        $given = $request->given();
        $body = json_decode((string) $request->getContent());
        $tokens = is_object($body) && isset($body->tokens) ? $body->tokens : null;
        $mapping = isset($given['mapping']) ? [] : null;
        foreach (array_map(Value::named(...), Value::list($given['mapping'] ?? [])) as $one) {
            $mapping[$one['target'] ?? ''] = $one['token'] ?? '';
        }
        try {
            if ($mapping === null && ! DesignTokens::isOwn($tokens)) {
                return self::asked(ForeignTokens::read($tokens));
            }
            [$look, $ignored] = $mapping === null ? DesignTokens::read('new', $tokens)
                : TokenMapping::look(ForeignTokens::read($tokens), $mapping, 'Imported look');
        } catch (InvalidArgumentException $wrong) {
            throw new UnprocessableEntityHttpException($wrong->getMessage(), $wrong);
        }
        $name = Words::filled(trim(Value::text($given['name'] ?? ''))) ?? $look->name;
        $named = Look::of('new', $name, $look->about, $look->scheme, $look->light, $look->dark, $look->tokens, $look->composition);

        return new JsonResponse(
            ['key' => $kept->keep($site, $named), 'ignored' => array_slice($ignored, 0, 50)],
            JsonResponse::HTTP_CREATED,
        );
    }

    private static function asked(ForeignTokens $file): JsonResponse
    {
        return new JsonResponse([
            'found' => array_map(get_object_vars(...), $file->tokens),
            'targets' => (object) TokenMapping::targets(),
            'proposed' => (object) TokenMapping::proposed($file),
            'left' => array_slice($file->left, 0, 50),
        ]);
    }
}
