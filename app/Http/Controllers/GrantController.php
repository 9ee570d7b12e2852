<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlainText;
use App\Models\Grant;
use App\Models\Site;
use App\Models\User;
use App\People\SecurityLog;
use App\Sources\Access\AccessRefused;
use App\Sources\Access\OAuthProviders;
use App\Sources\Channels\Shutterfen\ShutterfenChannel;
use App\Sources\Channels\Ticketwick\TicketwickChannel;
use App\Sources\Connectable;
use App\Sources\Rounds\RoundJob;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Access granted at outside services: sent there, come back, chosen among what it opens. */
final class GrantController
{
    /** Where the owner is sent. What proves the answer to be ours waits in the session (RFC 6749 §10.12, RFC 7636). */
    public function begin(Request $request, OAuthProviders $services, string $channel): JsonResponse
    {
        $service = $services->of($channel);
        $beginning = $service->beginning();
        $request->session()->put("granting.$channel", ['state' => $beginning['state'], 'verifier' => $beginning['verifier']]);

        return new JsonResponse(['address' => $beginning['address'], 'asked' => array_values($service->scopes)]);
    }

    /** The service sends the owner back here; what happened is told in the studio. */
    public function returned(
        Request $request,
        Site $site,
        OAuthProviders $services,
        SecurityLog $log,
        string $channel,
    ): RedirectResponse {
        $service = $services->of($channel);
        $begun = $request->session()->pull("granting.$channel");
        try {
            if (! is_array($begun) || ! hash_equals(Value::text($begun['state']), PlainText::of($request, 'state'))) {
                throw AccessRefused::otherState($service->name);
            }
            if ($request->query('error') !== null) {
                throw AccessRefused::byOwner($service->name);
            }
            $grant = $service->completed($site, PlainText::of($request, 'code'), Value::text($begun['verifier']));
        } catch (AccessRefused $refused) {
            return redirect('/sources/add/'.$channel.'?'.http_build_query(['refused' => $refused->getMessage()]));
        }
        /** @var User $user */
        $user = $request->user();
        $log->note($user->id, 'grant', "Access at $service->name was granted");
        // Sources that waited for it go on.
        foreach ($grant->sources()->get() as $source) {
            $source->update(['next_at' => now(), 'failures' => 0]);
            RoundJob::dispatch($source->id, true);
        }

        return redirect("/sources/add/$channel?grant=$grant->id");
    }

    public function choices(Site $site, TicketwickChannel $ticketwick, ShutterfenChannel $shutterfen, int $id): JsonResponse
    {
        /** @var Grant $grant */
        $grant = $site->grants()->findOrFail($id);
        $choices = $grant->channel === 'ticketwick' ? $ticketwick->choices($grant) : $shutterfen->choices($grant);

        return new JsonResponse([
            'account' => $grant->account,
            'choices' => Connectable::of($site, $grant->channel, $choices),
        ]);
    }
}
