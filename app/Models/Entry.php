<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Text\Tags;
use Gnomic\Gather\Text\Tokens;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Saying;
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
 * @property int $lot
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
        return ['payload' => 'array', 'gone' => 'boolean', 'hidden' => 'boolean', 'duplicate' => 'boolean', 'held' => 'boolean', 'held_for' => 'array', 'barred' => 'boolean', 'replied' => 'boolean', 'own_labels' => 'array', 'private' => 'encrypted', 'gone_at' => 'datetime', 'stars' => 'float'];
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
     * @param  list<string>  $ownLabels  that the owner has put on it
     * @return array<string, mixed>
     */
    public static function columnsOf(CoreEntry $entry, Source $source, array $ownLabels = []): array
    {
        $facts = Facts::of($entry);

        return self::askedColumns($entry, self::refOf($source, $entry->id), $ownLabels) + [
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
     * The columns that clauses, orders and searches ask.
     *
     * @param  list<string>  $ownLabels
     * @return array<string, mixed>
     */
    public static function askedColumns(CoreEntry $entry, string $ref, array $ownLabels): array
    {
        $facts = Facts::of($entry);

        return [
            'author' => $facts->author === null ? null : Tokens::inAscii($facts->author),
            'language' => $facts->language,
            'pictures' => $facts->pictures,
            'replied' => $facts->replied,
            'likes' => $facts->likes,
            'tags' => self::betweenBars($facts->tags),
            'labels' => self::betweenBars(Tags::each([...$entry->tags, ...$ownLabels])),
            'said' => Tokens::inAscii($facts->saying->line()),
            'lot' => Facts::lotOf($ref),
        ];
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

    public static function refOf(Source $source, string $native): string
    {
        return "$source->key:$native";
    }

    public function toCore(): CoreEntry
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
            toldBy: self::apart($this->told_by),
            held: $this->held,
            subject: $this->subject,
            author: $this->author,
            language: $this->language,
            pictures: $this->pictures,
            replied: $this->replied,
            likes: $this->likes,
            tags: self::apart($this->tags),
            labels: self::apart($this->labels),
            saying: new Saying((is_string($title) ? $title : '')."\n".(is_string($text) ? $text : '')),
        );
    }
}
