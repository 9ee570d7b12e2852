<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Channels\Channels;
use App\Models\Source;
use Carbon\CarbonImmutable;
use Gnomic\Tend\Cadence;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A source with what it has brought. The query adds present_count and newest_published.
 *
 * @mixin Source
 */
final class SourceResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $newest = $this->resource->getAttribute('newest_published');
        $round = $this->lastRound()->first();

        return [
            'key' => $this->key,
            'name' => $this->name,
            'channel' => $this->channel,
            'channelName' => app(Channels::class)->of($this->channel)->name(),
            'address' => $this->address,
            'home' => $this->home,
            'state' => $this->state($round?->outcome),
            'reason' => $round?->reason,
            'entries' => (int) $this->resource->getAttribute('present_count'),
            'newest' => $newest === null ? null : CarbonImmutable::createFromTimestamp((int) $newest)->toRfc3339String(),
            'cadence' => $this->cadence,
            'cadenceSpoken' => Cadence::spoken($this->cadence),
            'nextAt' => $this->next_at?->toRfc3339String(),
            'lastRound' => $round === null ? null : RoundResource::make($round),
        ];
    }

    private function state(?string $outcome): string
    {
        return match (true) {
            $this->disconnected_at !== null => 'disconnected',
            $outcome === null => 'waiting',
            $outcome === 'running' => 'running',
            in_array($outcome, ['failed', 'held'], true) => $outcome,
            default => 'well',
        };
    }
}
