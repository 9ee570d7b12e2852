<?php

declare(strict_types=1);

namespace App\Entries;

use App\Models\EntryRecord;
use App\Models\Source;
use Gnomic\Edition\Plan\Cards;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Language\Languages;
use Gnomic\Sift\Facts;
use Gnomic\Text\Tags;
use Gnomic\Text\Tokens;

/** An entry on its way into the store, with all that is worked out of it, once. */
final readonly class PreparedEntry
{
    /**
     * @param  Entry  $said  as the source said it
     * @param  string  $digest  of that: what is found out besides must not look like an edit
     */
    private function __construct(public Entry $entry, public Facts $facts, public Entry $said, public string $digest)
    {
    }

    public static function of(Entry $entry, string $digest): self
    {
        $filled = Languages::filled($entry);

        return new self($filled, Facts::of($filled), $entry, $digest);
    }

    /** The author as the column has it; empty where nobody is named. */
    public function author(): string
    {
        return $this->facts->author === null ? '' : Tokens::inAscii($this->facts->author);
    }

    /**
     * All columns that come from the source. The reference is unique within a site.
     *
     * @param  list<string>  $ownLabels  that the owner has put on it
     * @return array<string, mixed>
     */
    public function columns(Source $source, ?int $subjectId, array $ownLabels): array
    {
        $ref = EntryRecord::refOf($source, $this->entry->id);

        return $this->askedColumns($ref, $ownLabels) + [
            'site_id' => $source->site_id,
            'source_id' => $source->id,
            'source' => $source->key,
            'subject_id' => $subjectId,
            'source_entry_id' => $this->entry->id,
            'ref' => $ref,
            'card_ref' => Cards::refOf($source->key, $ref),
            'kind' => $this->facts->kind,
            'stars' => $this->facts->stars,
            'length' => $this->facts->length,
            'published' => $this->facts->published,
            'digest' => $this->digest,
            'original' => $this->entry->original,
            'payload' => json_encode(
                EntryJson::write($this->entry),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
        ];
    }

    /**
     * The columns that clauses, orders and searches ask.
     *
     * @param  list<string>  $ownLabels
     * @return array<string, mixed>
     */
    public function askedColumns(string $ref, array $ownLabels): array
    {
        return [
            'author' => $this->author() === '' ? null : $this->author(),
            'language' => $this->facts->language,
            'pictures' => $this->facts->pictures,
            'replied' => $this->facts->replied,
            'likes' => $this->facts->likes,
            'tags' => Tags::line($this->facts->tags),
            'labels' => Tags::line(Tags::each([...$this->entry->tags, ...$ownLabels])),
            'said' => Tokens::inAscii($this->facts->saying->line()),
            'shuffle_key' => Facts::shuffleKeyOf($ref),
        ];
    }
}
