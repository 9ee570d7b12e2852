<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AddSubject;
use App\Http\Requests\ChangeAddress;
use App\Http\Requests\ChangeSubject;
use App\Models\Site;
use App\Models\Source;
use App\Models\Subject;
use App\Outbox\Outbox;
use App\Placing\Forms;
use App\Sources\Channels\Channels;
use Gnomic\Json\Value;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Subjects by channels: what is connected, what could be, what is missing. */
final class SubjectController
{
    public function index(Site $site, Channels $channels): JsonResponse
    {
        $sources = Source::query()->with(['lastRound', 'grant'])->withCount(
            ['entries as present_count' => fn (Builder $query) => $query->where('gone', false)],
        );
        $sources->where('site_id', $site->id)->whereNull('removed_at');
        $bySubject = $sources->get()->groupBy('subject_id');
        $loose = DB::table('entries')->where('site_id', $site->id)
            ->where('gone', false)
            ->whereNotNull('subject_id')
            ->groupBy('subject_id')
            ->selectRaw('subject_id, COUNT(*) AS times')
            ->pluck('times', 'subject_id');
        $names = $channels->withAddresses();
        $subjects = Subject::query()->with('addresses');
        $subjects->where('site_id', $site->id)->orderBy('name');

        return new JsonResponse([
            'channels' => array_map(fn (string $key, string $name): array => ['key' => $key, 'name' => $name], array_keys($names), $names),
            'subjects' => array_map(fn (Subject $subject): array => [
                'key' => $subject->key,
                'name' => $subject->name,
                'kind' => $subject->kind,
                'identities' => $subject->identities ?? [],
                'reopenedOn' => $subject->reopened_on === null ? null : substr($subject->reopened_on, 0, 10),
                'entries' => Value::whole($loose[$subject->id] ?? 0),
                'cells' => array_values(array_filter(
                    array_map(
                        fn (string $channel): array => $this->cell($channel, $subject, $bySubject[$subject->id] ?? []),
                        array_keys($names),
                    ),
                    fn (array $cell): bool => $cell['addresses'] !== [],
                )),
            ], array_values($subjects->get()->all())),
        ]);
    }

    public function store(AddSubject $request, Site $site, Forms $forms): JsonResponse
    {
        $given = $request->given();
        $subject = Subject::named($site, Value::text($given['name']), Value::textOrNull($given['kind'] ?? null));
        $forms->subjectsChanged($site);

        return new JsonResponse(['key' => $subject->key, 'name' => $subject->name], JsonResponse::HTTP_CREATED);
    }

    /** The day on which it reopened: briefs can show what was said since. And what pages call it: an article number, an identifier. */
    public function update(ChangeSubject $request, Site $site, Outbox $outbox, Forms $forms, string $key): JsonResponse
    {
        $given = $request->given();
        $subject = $site->subjects()->where('key', $key)->firstOrFail();
        DB::transaction(function () use ($subject, $site, $outbox, $forms, $given): void {
            if (array_key_exists('reopenedOn', $given)) {
                $subject->update(['reopened_on' => $given['reopenedOn']]);
                $outbox->site($site, 'A subject reopened');
            }
            if (isset($given['identities'])) {
                $subject->update(['identities' => Value::texts($given['identities'])]);
                $forms->subjectsChanged($site);
            }
        });

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** Keeps or takes away an address on a channel; what is connected there stays connected. */
    public function address(ChangeAddress $request, Site $site, Channels $channels, string $key): JsonResponse
    {
        $given = $request->given();
        $subject = $site->subjects()->where('key', $key)->firstOrFail();
        $address = trim(Value::text($given['address']));
        $known = $channels->of(Value::text($given['channel']))->recognised($address) ?? $address;
        (bool) $given['keep'] ? $subject->addresses()->firstOrCreate(['channel' => $given['channel'], 'address' => $known])
            : $subject->addresses()->where('channel', $given['channel'])->where('address', $known)->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /**
     * @param  iterable<Source>  $sources  of the subject
     * @return array{channel: string, addresses: list<array{address: string, source: string|null, state: string, entries: int}>}
     */
    private function cell(string $channel, Subject $subject, iterable $sources): array
    {
        $addresses = [];
        foreach ($sources as $source) {
            if ($source->channel === $channel) {
                $addresses[$source->address] = [
                    'address' => $source->address,
                    'source' => $source->key,
                    'state' => $source->state(),
                    'entries' => Value::whole($source->getAttribute('present_count')),
                ];
            }
        }
        foreach ($subject->addresses as $known) {
            if ($known->channel === $channel) {
                $addresses[$known->address] ??= ['address' => $known->address, 'source' => null, 'state' => 'known', 'entries' => 0];
            }
        }

        return ['channel' => $channel, 'addresses' => array_values($addresses)];
    }
}
