<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Saying;
use Gnomic\Text\Tags;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A stored entry: the normalised form as it came, and beside it the columns that briefs ask.
 *
 * @property int $id
 * @property int $site_id
 * @property int $source_id
 * @property string $source
 * @property string $source_entry_id
 * @property string $ref
 * @property string $kind
 * @property float|null $stars
 * @property int $length
 * @property float|null $published  seconds since 1970, with what is written of their fractions
 * @property bool $gone
 * @property bool $hidden
 * @property bool $duplicate  another entry speaks for it
 * @property string|null $duplicate_of  sources of those that speak for it, between bars
 * @property int|null $speaker_id
 * @property int|null $subject_id
 * @property string|null $private  what is never shown, encrypted: the e-mail address of who wrote
 * @property bool $held  waits for the owner's decision
 * @property list<string>|null $held_for  why
 * @property bool $barred  says a word that the site never shows
 * @property string|null $subject  its key
 * @property string|null $author  folded name, in letters that every index keeps
 * @property string|null $language
 * @property int $pictures
 * @property bool $replied
 * @property int|null $likes
 * @property string $tags  hashtags, folded, between bars
 * @property string $labels  what it came with and what the owner put on, folded, between bars
 * @property list<string>|null $own_labels  what the owner put on, as written
 * @property int $shuffle_key
 * @property Carbon|null $gone_at
 * @property string $digest
 * @property array<string, mixed> $payload
 * @property Site $site
 */
final class EntryRecord extends Model
{
    protected $table = 'entries';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'payload' => 'array',
            'gone' => 'boolean',
            'hidden' => 'boolean',
            'duplicate' => 'boolean',
            'held' => 'boolean',
            'held_for' => 'array',
            'barred' => 'boolean',
            'replied' => 'boolean',
            'own_labels' => 'array',
            'private' => 'encrypted',
            'gone_at' => 'datetime',
            'stars' => 'float',
        ];
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class, 'entry_id');
    }

    /** @return HasMany<self, $this> those for which it speaks: the same opinion told elsewhere */
    public function told(): HasMany
    {
        return $this->hasMany(self::class, 'speaker_id');
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return BelongsTo<Source, $this> the connection that brought it; $this->source is only its key */
    public function connection(): BelongsTo
    {
        return $this->belongsTo(Source::class, 'source_id');
    }

    /** @param  list<string>  $tags */
    public static function betweenBars(array $tags): string
    {
        return $tags === [] ? '' : '|'.implode('|', $tags).'|';
    }

    /**
     * @param  list<string>  $refs
     * @return array<string, self> by reference
     */
    public static function ofRefs(Site $site, array $refs): array
    {
        $found = [];
        $query = self::query();
        $query->where('site_id', $site->id)->whereIn('ref', $refs);
        foreach ($query->get() as $entry) {
            $found[$entry->ref] = $entry;
        }

        return $found;
    }

    public static function refOf(Source $source, string $sourceEntryId): string
    {
        return "$source->key:$sourceEntryId";
    }

    public function toCore(): Entry
    {
        return EntryJson::restored($this->payload)->from($this->source, $this->ref);
    }

    /** @return list<string> what stands between bars */
    public static function apart(mixed $bars): array
    {
        return is_string($bars) ? array_values(array_filter(explode('|', $bars), fn (string $one): bool => $one !== '')) : [];
    }

    public function facts(): Facts
    {
        ['title' => $title, 'text' => $text] = $this->payload + ['title' => null, 'text' => null];

        return new Facts(
            id: $this->ref,
            source: $this->source,
            kind: $this->kind,
            stars: $this->stars,
            length: $this->length,
            published: $this->published,
            gone: $this->gone,
            hidden: (bool) $this->getAttribute('hidden'), // $this->hidden is the framework's list of members not to print
            duplicateOf: self::apart($this->duplicate_of),
            held: $this->held,
            subject: $this->subject,
            author: $this->author,
            language: $this->language,
            pictures: $this->pictures,
            replied: $this->replied,
            likes: $this->likes,
            tags: Tags::ofLine($this->tags),
            labels: Tags::ofLine($this->labels),
            saying: new Saying((is_string($title) ? $title : '')."\n".(is_string($text) ? $text : '')),
        );
    }
}
