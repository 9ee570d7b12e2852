<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Entry;
use App\Models\Site;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Saying;
use Illuminate\Support\Facades\DB;

/** What clauses ask of stored entries, from their columns alone: payloads are long. */
final class StoredFacts
{
    private const COLUMNS = ['ref', 'source', 'kind', 'stars', 'length', 'published', 'gone', 'hidden', 'told_by', 'held', 'subject', 'author', 'language', 'pictures', 'replied', 'likes', 'tags', 'labels', 'said', 'barred'];

    /**
     * @param  list<string>  $refs
     * @return array<string, Facts> by reference
     */
    public static function of(Site $site, array $refs): array
    {
        $facts = [];
        foreach (array_chunk(array_values(array_unique($refs)), 1000) as $chunk) {
            foreach (DB::table('entries')->where('site_id', $site->id)->whereIn('ref', $chunk)->get(self::COLUMNS) as $row) {
                $facts[(string) $row->ref] = new Facts(
                    id: (string) $row->ref,
                    source: (string) $row->source,
                    kind: (string) $row->kind,
                    stars: $row->stars === null ? null : (float) $row->stars,
                    length: (int) $row->length,
                    published: $row->published === null ? null : (int) $row->published,
                    gone: (bool) $row->gone,
                    hidden: (bool) $row->hidden,
                    toldBy: Entry::apart($row->told_by),
                    held: (bool) $row->held,
                    subject: $row->subject === null ? null : (string) $row->subject,
                    author: $row->author === null ? null : (string) $row->author,
                    language: $row->language === null ? null : (string) $row->language,
                    pictures: (int) $row->pictures,
                    replied: (bool) $row->replied,
                    likes: $row->likes === null ? null : (int) $row->likes,
                    tags: Entry::apart($row->tags),
                    labels: Entry::apart($row->labels),
                    saying: Saying::kept((string) $row->said),
                    barred: (bool) $row->barred,
                );
            }
        }

        return $facts;
    }
}
