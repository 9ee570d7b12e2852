<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Saying;
use Gnomic\Text\Tags;
use Illuminate\Support\Facades\DB;

/** What clauses ask of stored entries, from their columns alone: payloads are long. */
final class StoredFacts
{
    private const COLUMNS = [
        'ref',
        'source',
        'kind',
        'stars',
        'length',
        'published',
        'gone',
        'hidden',
        'duplicate_of',
        'held',
        'subject',
        'author',
        'language',
        'pictures',
        'replied',
        'likes',
        'tags',
        'labels',
        'said',
        'barred',
    ];

    /**
     * @param  list<string>  $refs
     * @return array<string, Facts> by reference
     */
    public static function of(Site $site, array $refs): array
    {
        $facts = [];
        foreach (array_chunk(array_values(array_unique($refs)), 1000) as $chunk) {
            foreach (DB::table('entries')->where('site_id', $site->id)->whereIn('ref', $chunk)->get(self::COLUMNS) as $row) {
                $facts[Value::text($row->ref)] = self::read(Value::members($row));
            }
        }

        return $facts;
    }

    /**
     * The columns as they are now, to be kept and read later.
     *
     * @param  list<int>  $ids
     * @return array<int, array<string, mixed>> by identifier
     */
    public static function rows(array $ids): array
    {
        $rows = [];
        foreach (array_chunk($ids, 1000) as $chunk) {
            foreach (DB::table('entries')->whereIn('id', $chunk)->get(['id', ...self::COLUMNS]) as $row) {
                $rows[Value::whole($row->id)] = array_diff_key(Value::members($row), ['id' => true]);
            }
        }

        return $rows;
    }

    /** @param  array<string, mixed>  $row  as rows() gives it */
    public static function read(array $row): Facts
    {
        $text = fn (string $name): ?string => is_scalar($row[$name] ?? null) ? (string) $row[$name] : null;
        $number = fn (string $name): ?int => is_numeric($row[$name] ?? null) ? (int) $row[$name] : null;

        return new Facts(
            id: (string) $text('ref'),
            source: (string) $text('source'),
            kind: (string) $text('kind'),
            stars: is_numeric($row['stars'] ?? null) ? (float) $row['stars'] : null,
            length: (int) $number('length'),
            published: is_numeric($row['published'] ?? null) ? (float) $row['published'] : null,
            gone: (bool) $number('gone'),
            hidden: (bool) $number('hidden'),
            duplicateOf: EntryRecord::apart($text('duplicate_of')),
            held: (bool) $number('held'),
            subject: $text('subject'),
            author: $text('author'),
            language: $text('language'),
            pictures: (int) $number('pictures'),
            replied: (bool) $number('replied'),
            likes: $number('likes'),
            tags: Tags::ofLine((string) $text('tags')),
            labels: Tags::ofLine((string) $text('labels')),
            saying: Saying::kept((string) $text('said')),
            barred: (bool) $number('barred'),
        );
    }
}
