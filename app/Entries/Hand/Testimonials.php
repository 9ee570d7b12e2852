<?php

declare(strict_types=1);

namespace App\Entries\Hand;

use App\Entries\EntryChange;
use App\Entries\EntryStore;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Source;
use App\Outbox\Outbox;
use App\Pictures\OwnPictures;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Html;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Json\Value;
use Gnomic\Text\Words;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Testimonials that the owner writes down: kept like every other entry, with their history. */
final readonly class Testimonials
{
    public function __construct(private EntryStore $store, private Outbox $outbox, private OwnPictures $pictures)
    {
    }

    /**
     * @param  array<string, mixed>  $given  author, role, place, email, title, text, rating, date, labels, subject
     * @param  string|null  $picture  its bytes
     * @param  EntryRecord|null  $stored  the one that is edited
     */
    public function write(Site $site, array $given, ?string $picture, ?EntryRecord $stored = null): EntryRecord
    {
        $source = $this->source($site);
        $text = fn (string $name): ?string => is_string($given[$name] ?? null) ? Words::line($given[$name]) : null;
        $words = is_string($given['text'] ?? null) ? Words::tidy($given['text']) : '';
        $image = $picture === null ? ($stored?->toCore()->author->image) : $this->pictures->keep($site, $picture, square: true);
        $entry = new Entry(
            id: $stored->source_entry_id ?? (string) Str::ulid(),
            kind: Kind::Testimonial,
            subject: $text('subject'),
            author: new Author($text('author'), $text('role'), $text('place'), image: $image),
            rating: is_numeric($given['rating'] ?? null) ? Rating::on(Scale::ofStars(), (float) $given['rating']) : null,
            title: $text('title'),
            text: $words,
            html: $words === '' ? null : Html::fromText($words),
            published: $text('date') === null ? now()->toDateTimeImmutable() : DateReader::read($text('date'), $site->zone()),
            tags: array_values(array_filter(
                array_map(fn (string $label): ?string => Words::line($label), explode(',', Value::text($given['labels'] ?? ''))),
                fn (?string $label): bool => $label !== null,
            )),
        );
        $written = EntryRecord::query();
        $written->where('source_id', $source->id)->where('source_entry_id', $entry->id);
        $this->store->take($source, [$entry], Coverage::Some, $stored === null ? 'A testimonial was written' : 'A testimonial was edited',
            within: function () use ($written, $given): void {
                $written->clone()->update(
                    ['private' => is_string($given['email'] ?? null) ? Crypt::encryptString($given['email']) : null],
                );
            });

        return $written->firstOrFail();
    }

    /** Kept, and shown no more; taken back by the same with false. */
    public function remove(Site $site, EntryRecord $entry, bool $removed): void
    {
        DB::transaction(fn () => $this->outbox->entries(
            $site,
            EntryChange::kept($this->store->setGone($entry->id, $removed)),
            $removed ? 'A testimonial was removed' : 'A testimonial was restored',
        ));
    }

    private function source(Site $site): Source
    {
        return $site->sources()->firstOrCreate(['channel' => 'hand', 'address' => 'hand'],
            ['key' => Source::freeKey($site, 'By hand'), 'name' => 'Written by hand', 'cadence' => 86_400, 'next_at' => null]);
    }
}
