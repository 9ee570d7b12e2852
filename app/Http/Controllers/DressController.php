<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\LookPictures;
use App\Editions\SiteLooks;
use App\Http\Requests\BriefBody;
use App\Http\Requests\MoveLook;
use App\Http\Requests\WithBrief;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Look;
use Gnomic\Dress\Moves;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;

/** A brief in other looks, and after moves. */
final class DressController
{
    /** The widget on the bench in every look. */
    public function pictures(WithBrief $request, Site $site, LookPictures $pictures): JsonResponse
    {
        $request->given();

        return new JsonResponse(['looks' => $pictures->of($site, BriefBody::of($request))]);
    }

    /** A brief after a move: calmer, stronger, closer, airier, sharper, rounder, or one accent colour. */
    public function move(MoveLook $request, Site $site, SiteLooks $looks): JsonResponse
    {
        $given = $request->given();
        $brief = BriefBody::of($request);
        $look = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        $moved = $given['move'] === 'accent'
            ? Moves::accented($look, Colour::hex(Value::text($given['accent'])))
            : Moves::from(Value::text($given['move']))->on($look);

        return new JsonResponse(['brief' => $this->dressed($brief, $look, $moved)->toArray()]);
    }

    /** With what a move has changed. */
    private function dressed(Brief $brief, Look $before, Look $after): Brief
    {
        $of = $brief->dress->toArray();
        $changed = function (string $part, array $was, array $is) use ($of): array {
            $own = is_array($of[$part]) ? $of[$part] : [];

            return array_filter($is, fn (mixed $value, string $name): bool => $value !== $was[$name], ARRAY_FILTER_USE_BOTH) + $own;
        };

        return $brief->with(dress: $brief->dress->with([
            'light' => $changed('light', $before->light->colours, $after->light->colours),
            'dark' => $changed('dark', $before->dark->colours, $after->dark->colours),
            'tokens' => $changed('tokens', $before->tokens->toArray(), $after->tokens->toArray()),
        ]));
    }
}
