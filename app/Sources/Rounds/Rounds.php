<?php

declare(strict_types=1);

namespace App\Sources\Rounds;

use App\Entries\EntryStore;
use App\Fetching\FetchFailed;
use App\Host\DiskIsFull;
use App\Host\HostLocks;
use App\Models\Round;
use App\Models\RoundOutcome;
use App\Models\Source;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channels;
use App\Sources\Channels\Gathered;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Matching\Matched;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Tend\BackOff;
use Illuminate\Support\Carbon;
use Random\Randomizer;
use Throwable;

/** One refresh of one source from start to finish: asked, matched, applied whole or not at all, and accounted for. */
final readonly class Rounds
{
    private const BROKEN_OFF = 'It was interrupted: it took too long, or Gnomic was stopped. Nothing was '
        .'changed, and Gnomic will try again.';

    /** Rounds at one service at a time, so that a slow one leaves workers to the others. */
    private const AT_A_SERVICE = 2;

    public function __construct(
        private Channels $channels,
        private EntryStore $store,
        private HostLocks $locks,
        private Randomizer $chance,
    ) {
    }

    /** @return Round|null null where another worker is at this source already, or enough are at its service */
    public function run(Source $source): ?Round
    {
        $place = $this->locks->oneOf(self::serviceOf($source), self::AT_A_SERVICE);
        $lock = $place === null ? null : $this->locks->attempt("round-$source->id");

        return $lock === null ? null : $this->locked($source);
    }

    public function isRunning(Source $source): bool
    {
        return $this->locks->isHeld("round-$source->id");
    }

    /** Whether a round at its service would find a place just now. */
    public function hasPlace(Source $source): bool
    {
        return $this->locks->oneOf(self::serviceOf($source), self::AT_A_SERVICE) !== null;
    }

    /** Closes rounds that say they run although nobody is at them: whoever was has died. The next try comes as after any failure. */
    public function brokeOff(Source $source): void
    {
        $lock = $this->locks->attempt("round-$source->id");
        $round = $lock === null ? null : $source->rounds()->where('outcome', RoundOutcome::Running)->latest('id')->first();
        if ($round !== null) {
            $source->refresh();
            $this->closeOthers($source, $round);
            $this->failed($source, $round, self::BROKEN_OFF, null);
        }
    }

    private static function serviceOf(Source $source): string
    {
        return 'service-'.(in_array($source->channel, ['feed', 'page'], true)
            ? parse_url($source->address, PHP_URL_HOST)
            : $source->channel);
    }

    private function locked(Source $source): Round
    {
        $source->refresh();
        $source->update(['queued_at' => null]);
        $round = Round::query()->create(['source_id' => $source->id, 'outcome' => RoundOutcome::Running, 'started_at' => now()]);
        $this->closeOthers($source, $round);
        try {
            $gathered = $this->channels->of($source->channel)->gather($source, new CacheValidators($source->etag, $source->last_modified),
                function (int $read) use ($round): void {
                    $round->fill(['received' => $read])->save();
                });
            $this->apply($source, $round, $gathered);
        } catch (FetchFailed|PayloadIsUnreadable $failure) {
            return $this->failed($source, $round, $failure->getMessage(), $failure instanceof FetchFailed ? $failure->retryAfter : null);
        } catch (Throwable $fault) {
            // A fault of our own: told plainly here, in full in the log.
            report($fault);

            return $this->failed(
                $source,
                $round,
                DiskIsFull::caused($fault)
                    ? 'Gnomic’s disk is full. Nothing was changed. Free some disk space; Gnomic will then try again.'
                    : 'Gnomic could not read the answer. Nothing was changed, and Gnomic will try again. The details are in its log.',
                null,
            );
        }

        return $round;
    }

    private function apply(Source $source, Round $round, Gathered $gathered): void
    {
        if ($gathered->figures !== null) {
            $source->fill(['figures' => EntryJson::writeRating($gathered->figures->mean) + ['count' => $gathered->figures->count]]);
        }
        $source->fill($gathered->quota === null ? [] : ['quota' => $gathered->quota]);
        $reading = $gathered->reading;
        if ($reading === null) {
            $this->finish($source, $round, RoundOutcome::Unchanged, $gathered->validators);

            return;
        }
        $round->fill([
            'received' => count($reading->entries),
            'problems' => array_map(fn (Problem $problem): string => (string) $problem, $reading->problems),
        ]);
        $settle = function (Matched $matched) use ($source, $round, $gathered): void {
            if ($matched->held !== null) {
                // Not a fault to press on with: the validators stay, so that the next answer is read again.
                $round->fill(['outcome' => RoundOutcome::Held, 'reason' => $matched->held]);
                $this->later($source, $round, null);

                return;
            }
            $round->fill([
                'added' => count($matched->new),
                'changed' => count($matched->changed),
                'same' => $matched->same,
                'gone' => count($matched->gone),
            ]);
            $source->fill($gathered->identity === null ? [] : ['identity' => $gathered->identity]);
            $outcome = $matched->changesNothing() ? RoundOutcome::Unchanged : RoundOutcome::Changed;
            $this->finish($source, $round, $outcome, $gathered->validators);
        };
        $this->store->take(
            $source,
            $reading->entries,
            $gathered->coverage,
            "Round of $source->name",
            $round->id,
            $settle,
            fromElsewhere: $source->identity !== null && $gathered->identity !== null && $source->identity !== $gathered->identity,
        );
    }

    private function finish(Source $source, Round $round, RoundOutcome $outcome, CacheValidators $validators): void
    {
        $source->update([
            'etag' => $validators->etag,
            'last_modified' => $validators->lastModified,
            'failures' => 0,
            'accepts_loss' => false,
            'next_at' => Carbon::now()->addSeconds($source->cadence),
        ]);
        $round->fill(['outcome' => $outcome, 'finished_at' => now()])->save();
    }

    private function failed(Source $source, Round $round, string $reason, ?int $asked): Round
    {
        $round->fill(['outcome' => RoundOutcome::Failed, 'reason' => $reason]);
        $this->later($source, $round, $asked);

        return $round;
    }

    private function later(Source $source, Round $round, ?int $asked): void
    {
        $failures = $source->failures + 1;
        $wait = BackOff::seconds($failures, $source->cadence, $this->chance->getInt(0, 1000) / 1000, $asked);
        $source->update(['failures' => $failures, 'next_at' => Carbon::now()->addSeconds($wait)]);
        $round->fill(['finished_at' => now()])->save();
    }

    /** Whoever holds the lock is the only one at work here, so another round that still runs was killed. */
    private function closeOthers(Source $source, Round $round): void
    {
        $source->rounds()->where('outcome', RoundOutcome::Running)->where('id', '<', $round->id)->update([
            'outcome' => RoundOutcome::Failed, 'finished_at' => now(), 'reason' => self::BROKEN_OFF,
        ]);
    }
}
