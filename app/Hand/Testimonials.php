<?php

declare(strict_types=1);

namespace App\Hand;

use App\Editions\Refresh;
use App\Likeness\Duplicates;
use App\Models\Entry;
use App\Models\Picture;
use App\Models\Site;
use App\Models\Source;
use App\Models\Subject;
use App\Pictures\PictureFiles;
use App\Rounds\Change;
use App\Rounds\Stored;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Dates\DateReader;
use Gnomic\Gather\Matching\Matched;
use Gnomic\Gather\Text\Html;
use Gnomic\Gather\Text\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Testimonials that the owner writes down: kept like every other entry, with their history. */
final readonly class Testimonials
{
    public function __construct(private Stored $stored, private Refresh $refresh, private Duplicates $duplicates, private PictureFiles $files)
    {
    }

    /**
     * @param  array<string, mixed>  $given  author, role, place, email, title, text, rating, date, labels, subject
     * @param  string|null  $picture  its bytes
     * @param  Entry|null  $stored  the one that is edited
     */
    public function write(Site $site, array $given, ?string $picture, ?Entry $stored = null): Entry
    {
        $source = $this->source($site);
        $text = fn (string $name): ?string => is_string($given[$name] ?? null) ? Words::line($given[$name]) : null;
        $words = is_string($given['text'] ?? null) ? Words::tidy($given['text']) : '';
        $image = $picture === null ? ($stored?->toCore()->author->image) : $this->kept($site, $picture);
        $entry = new CoreEntry(
            id: $stored->native ?? (string) Str::ulid(),
            kind: Kind::Testimonial,
            subject: $text('subject'),
            author: new Author($text('author'), $text('role'), $text('place'), image: $image),
            rating: is_numeric($given['rating'] ?? null) ? Rating::on(Scale::ofStars(), (float) $given['rating']) : null,
            title: $text('title'),
            text: $words,
            html: $words === '' ? null : Html::fromText($words),
            published: $text('date') === null ? now()->toDateTimeImmutable() : DateReader::read((string) $text('date'), $site->zone()),
            tags: array_values(array_filter(array_map(fn (string $label): ?string => Words::line($label), explode(',', (string) ($given['labels'] ?? ''))), fn (?string $label): bool => $label !== null)),
        );
        $changes = DB::transaction(function () use ($source, $entry, $stored, $given, $site): array {
            $changes = $this->stored->apply($source, $stored === null ? new Matched([$entry], [], 0, []) : new Matched([], [$entry], 0, []));
            $written = Entry::query()->where('source_id', $source->id)->where('native', $entry->id)->firstOrFail();
            $written->update(['private' => is_string($given['email'] ?? null) ? $given['email'] : null,
                'subject_id' => $entry->subject === null ? null : Subject::named($site, $entry->subject)->id]);

            return $changes;
        });
        $this->refresh->after($site, $changes, $stored === null ? 'A testimonial was written' : 'A testimonial was edited');

        return Entry::query()->where('source_id', $source->id)->where('native', $entry->id)->firstOrFail();
    }

    /** Kept, and shown no more; taken back by the same with false. */
    public function remove(Site $site, Entry $entry, bool $removed): void
    {
        $before = $entry->facts();
        $entry->update(['gone' => $removed, 'gone_at' => $removed ? now() : null]);
        $this->refresh->after($site, [new Change($before, $entry->facts()), ...($removed ? $this->duplicates->without($entry) : [])], $removed ? 'A testimonial was removed' : 'A testimonial was brought back');
    }

    /** A face, cut square; its address is our own and is never fetched. */
    private function kept(Site $site, string $bytes): string
    {
        $kept = $this->files->keep($bytes, square: true);
        $url = "https://picture.invalid/{$kept['name']}";
        Picture::query()->updateOrCreate(['site_id' => $site->id, 'digest' => Picture::digestOf($url)], ['url' => $url, 'state' => 'kept'] + $kept);

        return $url;
    }

    private function source(Site $site): Source
    {
        return $site->sources()->firstOrCreate(['channel' => 'hand', 'address' => 'hand'],
            ['key' => Source::freeKey($site, 'By hand'), 'name' => 'Written by hand', 'cadence' => 86_400, 'next_at' => null]);
    }
}
