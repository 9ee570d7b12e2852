<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Grounds\Grounds;
use App\Editions\Behaviours;
use App\Host\HostLocks;
use App\Host\KnowsHost;
use App\Http\Requests\ReadLookOfPage;
use App\Http\Requests\ShowGround;
use App\Models\Ground;
use App\Models\Site;
use Gnomic\Dress\Dress;
use Gnomic\Json\Value;
use Gnomic\Text\Echoed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use InvalidArgumentException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Pages of the owner's website: looks are read from them, and widgets are proofed on them. */
final class GroundController
{
    use KnowsHost;

    /** Pages that are fetched at a time, and seconds after which somebody may try again. */
    private const AT_ONCE = 2;

    private const AGAIN = 5;

    /** Fetches a page and says what looks its sections propose, each token with its evidence. */
    public function store(ReadLookOfPage $request, Site $site, Grounds $grounds, HostLocks $locks): JsonResponse
    {
        $given = $request->given();
        $address = trim(Value::text($given['address']));
        $address = preg_match('~^[a-z][a-z0-9+.-]*://~i', $address) === 1 ? $address : "https://$address";
        $css = Value::text($given['css'] ?? '');
        $kept = Ground::at($site->id, $address);
        if ($kept?->matched !== null && $css === '' && ! (bool) ($given['again'] ?? false)) {
            return new JsonResponse(self::told($kept));
        }
        $place = $locks->oneOf('ground', self::AT_ONCE);
        if ($place === null) {
            throw new TooManyRequestsHttpException(self::AGAIN, 'Gnomic is busy reading other pages. Try again in a moment.');
        }
        try {
            return new JsonResponse(self::told($grounds->fetch($site, $address, $css)));
        } catch (InvalidArgumentException $wrong) {
            throw new UnprocessableEntityHttpException($wrong->getMessage(), $wrong);
        }
    }

    /** The page itself, harmless, or a neutral one where none is given: for a frame of the bench. */
    public function show(ShowGround $request, Site $site, Behaviours $behaviours): Response
    {
        // For a frame of the bench alone: as a tab of its own it would stand at the studio's address.
        if (! in_array($request->headers->get('Sec-Fetch-Dest', 'iframe'), ['iframe', 'frame', 'empty'], true)) {
            return new Response('This page is only shown on the bench.', 403, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        $given = $request->given();
        $host = $this->host();
        $ground = isset($given['address']) ? Ground::at($site->id, Value::text($given['address'])) : null;
        $html = $ground->html ?? view('ground', ['script' => "$host/b/".$behaviours->file('proof'), 'host' => $host])->render();
        // What was fetched before a script was another names the earlier one.
        $html = (string) preg_replace(
            '~'.preg_quote("$host/b/", '~').'[0-9a-f]{12}\.js~',
            "$host/b/".$behaviours->file('proof'),
            $html,
            1,
        );

        return new Response($html, 200, [
            'Content-Type' => 'text/html; charset=utf-8',
            'Cache-Control' => 'private, no-store',
            // What was fetched has no origin of its own. Nothing runs but what Gnomic puts in; pictures, styles and fonts are the page's.
            'Content-Security-Policy' => ($ground?->html === null ? '' : 'sandbox allow-scripts; ')
                ."default-src 'none'; script-src $host/gnomic.js $host/b/; style-src * 'unsafe-inline' data:; img-src * data:; "
                ."font-src * data:; media-src *; connect-src $host; form-action 'none'; frame-src 'none'; object-src 'none'; "
                ."frame-ancestors 'self'",
        ]);
    }

    /** @return array<string, mixed> */
    private static function told(Ground $ground): array
    {
        $matched = $ground->matched ?? [];
        $sections = array_filter(is_array($matched['sections'] ?? null) ? $matched['sections'] : [], is_array(...));

        return [
            'address' => $ground->address,
            'name' => Echoed::short($ground->address),
            'fetchedAt' => $ground->fetched_at?->toRfc3339String(),
            'failure' => $ground->failure,
            'hasPage' => $ground->html !== null,
            'problems' => $matched['problems'] ?? [],
            'doubts' => $matched['doubts'] ?? [],
            'sections' => array_values(
                array_map(fn (array $section): array => ['dress' => self::dress($section)->toArray()] + $section, $sections),
            ),
        ];
    }

    /**
     * What a section proposes, as a brief's part.
     *
     * @param  array<array-key, mixed>  $section
     */
    private static function dress(array $section): Dress
    {
        $look = is_array($section['look'] ?? null) ? $section['look'] : [];

        // Over a look without a ground of its own: what is behind is the page.
        return Dress::read([
            'name' => 'window',
            'scheme' => $look['scheme'] ?? null,
            'light' => $look['light'] ?? [],
            'dark' => $look['dark'] ?? [],
            'tokens' => $look['tokens'] ?? [],
        ]);
    }
}
