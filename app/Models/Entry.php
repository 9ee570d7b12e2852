<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Sift\Facts;
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
 * @property string $native
 * @property string $ref
 * @property string $kind
 * @property float|null $stars
 * @property int $length
 * @property int|null $published
 * @property bool $gone
 * @property bool $hidden
 * @property bool $duplicate  another entry speaks for it
 * @property string|null $told_by  sources of those that speak before it, between bars
 * @property int|null $speaker_id
 * @property int|null $subject_id
 * @property string|null $private  what is never shown, encrypted: the e-mail address of who wrote
 * @property Carbon|null $gone_at
 * @property string $digest
 * @property array<string, mixed> $payload
 */
final class Entry extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['payload' => 'array', 'gone' => 'boolean', 'hidden' => 'boolean', 'duplicate' => 'boolean', 'private' => 'encrypted', 'gone_at' => 'datetime', 'stars' => 'float'];
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** @return HasMany<self, $this> those for which it speaks: the same opinion told elsewhere */
    public function told(): HasMany
    {
        return $this->hasMany(self::class, 'speaker_id');
    }

    /** @return BelongsTo<Source, $this> the connection that brought it; $this->source is only its key */
    public function connection(): BelongsTo
    {
        return $this->belongsTo(Source::class, 'source_id');
    }

    /**
     * What a reading of an entry becomes in columns. The reference is unique within a site.
     *
     * @return array<string, mixed>
     */
    public static function columnsOf(CoreEntry $entry, Source $source): array
    {
        $facts = Facts::of($entry);

        return [
            'site_id' => $source->site_id,
            'source_id' => $source->id,
            'source' => $source->key,
            'subject_id' => $source->subject_id,
            'native' => $entry->id,
            'ref' => self::refOf($source, $entry->id),
            'kind' => $facts->kind,
            'stars' => $facts->stars,
            'length' => $facts->length,
            'published' => $facts->published,
            'digest' => Digest::of($entry),
            'original' => $entry->original,
            'payload' => json_encode(EntryJson::write($entry), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE),
        ];
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

    public static function refOf(Source $source, string $native): string
    {
        return "$source->key:$native";
    }

    public function toCore(): CoreEntry
    {
        return EntryJson::restored($this->payload)->from($this->source, $this->ref);
    }

    /** @return list<string> */
    public static function sourcesIn(mixed $toldBy): array
    {
        return is_string($toldBy) ? array_values(array_filter(explode('|', $toldBy), fn (string $source): bool => $source !== '')) : [];
    }

    public function facts(): Facts
    {
        return new Facts($this->ref, $this->source, $this->kind, $this->stars, $this->length, $this->published, $this->gone,

            (bool) $this->getAttribute('hidden'), // $this->hidden is the framework's list of members not to print
            self::sourcesIn($this->told_by));
    }
}
