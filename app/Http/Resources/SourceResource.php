<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Source;
use App\Pictures\Pictures;
use App\Sources\Access\OAuthProviders;
use App\Sources\Channels\Channels;
use Carbon\CarbonImmutable;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Json\Value;
use Gnomic\Tend\Cadence;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A source with what it has brought. The query adds present_count, newest_published and is_rated.
 *
 * @property Source $resource
 *
 * @mixin Source
 */
final class SourceResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $newest = $this->getAttribute('newest_published');
        $round = $this->lastRound;
        $channel = app(Channels::class)->of($this->channel);
        $granting = app(OAuthProviders::class);

        return [
            'key' => $this->key,
            'name' => $this->name,
            'channel' => $this->channel,
            'channelName' => $channel->name(),
            'brings' => $channel->brings(),
            'isAsked' => $channel->isAsked(),
            'address' => $this->address,
            'home' => $this->home,
            'subject' => $this->subject?->name,
            'state' => $this->state(),
            'reason' => $round?->reason,
            'entries' => Value::whole($this->getAttribute('present_count')),
            'newest' => $newest === null ? null : CarbonImmutable::createFromTimestamp(Value::whole($newest))->toRfc3339String(),
            'cadence' => $this->cadence,
            'cadenceSpoken' => Cadence::spoken($this->cadence),
            'nextAt' => $channel->isAsked() ? $this->next_at?->toRfc3339String() : null,
            'lastRound' => $round === null ? null : RoundResource::make($round),
            'showsGone' => $this->shows_gone,
            'quota' => $this->quota,
            'profile' => $this->profile,
            'isRated' => (bool) $this->getAttribute('is_rated'),
            'called' => $channel->saidAt($this->resource),
            'sign' => $this->sign === null ? null : ['id' => $this->sign, 'address' => $this->picture($this->sign)],
            'figures' => $this->figures === null
                ? null
                : [
                    'mean' => Rating::on(
                        Scale::between((float) $this->figures['worst'], (float) $this->figures['best']),
                        (float) $this->figures['value'],
                    )->spoken(),
                    'count' => $this->figures['count'],
                ],
            'granted' => $this->grant === null
                ? null
                : ['account' => $this->grant->account, 'what' => array_values($granting->of($this->channel)->scopes),
                    'until' => $this->grant->expires_at?->toRfc3339String(), 'ended' => $this->grant->ended_at?->toRfc3339String()],
        ];
    }

    /** @return string|null null where its files are lost */
    private function picture(string $url): ?string
    {
        return (app(Pictures::class)->at($this->site, [$url])[$url] ?? null)?->at(320);
    }
}
