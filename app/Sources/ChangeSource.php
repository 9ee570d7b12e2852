<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Source;
use App\Models\Subject;
use App\Outbox\Outbox;
use App\Pictures\Pictures;
use App\Sources\Rounds\RoundJob;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;

/** What an owner changes of a source. What shows of it, its name or what it is about, makes the widgets ask again. */
final readonly class ChangeSource
{
    public function __construct(private Removal $removal, private Pictures $pictures, private Outbox $outbox, private Signs $signs)
    {
    }

    /** @param  array<string, mixed>  $given  of name, cadence, connected, subject, showsGone, acceptsLoss, profile, sign */
    public function source(Source $source, array $given): void
    {
        DB::transaction(function () use ($source, $given): void {
            $source->fill(array_intersect_key($given, ['name' => 1, 'cadence' => 1, 'profile' => 1]));
            if (isset($given['cadence'])) {
                $last = $source->lastRound()->first()->finished_at ?? now();
                $source->setAttribute('next_at', $last->copy()->addSeconds(Value::whole($given['cadence'])));
            }
            if (isset($given['connected'])) {
                $source->fill(['disconnected_at' => (bool) $given['connected'] ? null : now(), 'next_at' => now()]);
            }
            if (isset($given['acceptsLoss'])) {
                $source->fill(['accepts_loss' => (bool) $given['acceptsLoss'], 'next_at' => now()]);
            }
            $moves = array_key_exists('subject', $given)
                && $this->move($source, Value::textOrNull($given['subject']));
            $shows = $moves || $source->isDirty(['name', 'profile']);
            $source->save();
            if ($shows) {
                $this->outbox->site($source->site, $moves ? "$source->name is about another subject" : "$source->name is shown otherwise");
            }
            if (array_key_exists('sign', $given)) {
                $this->signs->set($source, Value::textOrNull($given['sign']));
            }
            if (isset($given['showsGone'])) {
                $this->removal->showGone($source, (bool) $given['showsGone']);
            }
        });
        if (is_array($given['profile'] ?? null) && isset($given['profile']['picture'])) {
            $this->pictures->wantOne($source->site, Value::text($given['profile']['picture']));
        }
        if ((bool) ($given['acceptsLoss'] ?? false)) {
            RoundJob::dispatch($source->id, true);
        }
    }

    /** Its entries go with it. */
    private function move(Source $source, ?string $name): bool
    {
        $subject = $name === null ? null : Subject::named($source->site, $name);
        if ($source->subject_id === $subject?->id) {
            return false;
        }
        $source->fill(['subject_id' => $subject?->id]);
        $source->entries()->update(['subject_id' => $subject?->id]);

        return true;
    }
}
