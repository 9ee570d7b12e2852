<?php

declare(strict_types=1);

namespace App\Entries\Listing;

use App\Models\EntryRecord;
use Gnomic\Edition\Files\JsonFeed;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Tables\Cells;

/** Entries as files that other programs read: CSV, JSON Lines, JSON Feed. */
final readonly class Export
{
    public const TYPES = ['csv' => 'text/csv', 'jsonl' => 'application/jsonl', 'json' => 'application/feed+json'];

    private const COLUMNS = [
        'id',
        'kind',
        'source',
        'subject',
        'author',
        'role',
        'place',
        'rating',
        'best',
        'worst',
        'stars',
        'title',
        'text',
        'language',
        'date',
        'edited',
        'reply',
        'reply date',
        'address',
        'labels',
        'likes',
        'comments',
        'state',
    ];

    public function __construct(private string $host)
    {
    }

    /**
     * @param  iterable<EntryRecord>  $entries
     * @return iterable<string> piece by piece
     */
    public function write(string $form, iterable $entries, string $title): iterable
    {
        $opening = match ($form) {
            'json' => JsonFeed::opening($title, "$this->host/entries"),
            'csv' => "\u{FEFF}".Cells::row(self::COLUMNS), // the mark tells spreadsheets that it is UTF-8
            default => '',
        };
        yield $opening;
        $isFirst = true;
        foreach ($entries as $entry) {
            $core = $entry->toCore();
            yield match ($form) {
                'csv' => Cells::row($this->cells($entry, $core)),
                'json' => ($isFirst ? '' : ',').JsonFeed::entry($core),
                default => json_encode(
                    EntryJson::write($core),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
                )."\n",
            };
            $isFirst = false;
        }
        if ($form === 'json') {
            yield ']}';
        }
    }

    /** @return list<string|int|float|null> */
    private function cells(EntryRecord $entry, Entry $core): array
    {
        $state = array_keys(
            array_filter([
                'hidden' => (bool) $entry->getAttribute('hidden'),
                'held' => $entry->held,
                'gone' => $entry->gone_at !== null,
                'told elsewhere' => $entry->duplicate,
            ]),
        );

        return [
            $core->id,
            $core->kind->value,
            $core->source,
            $entry->subject,
            $core->author->name,
            $core->author->role,
            $core->author->place,
            $core->rating?->value,
            $core->rating?->scale->best,
            $core->rating?->scale->worst,
            $core->stars(),
            $core->title,
            $core->text,
            $core->language,
            EntryJson::date($core->published),
            EntryJson::date($core->updated),
            $core->reply?->text,
            EntryJson::date($core->reply?->published),
            $core->url,
            implode(', ', [...$core->tags, ...$entry->own_labels ?? []]),
            $core->likes,
            $core->comments,
            implode(', ', $state),
        ];
    }
}
