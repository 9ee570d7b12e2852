<?php

declare(strict_types=1);

namespace App\Entries;

use App\Entries\Sift\WordMatches;
use App\Models\Site;
use App\Outbox\Outbox;
use Closure;
use Gnomic\Json\Value;
use Gnomic\Sift\Clauses\NeverSaid;
use Gnomic\Sift\Hold;
use Gnomic\Sift\Term;
use Illuminate\Support\Facades\DB;

/** A site's own rules: words that are never shown, and which new entries wait for a decision. */
final readonly class EntryRules
{
    public function __construct(private Outbox $outbox)
    {
    }

    /**
     * Bars at once what says one of the words; the widgets follow in the background.
     *
     * @param  list<string>  $words
     */
    public function never(Site $site, array $words): void
    {
        $queries = array_map(fn (Term $term): string => $term->query(), array_values(Term::each($words)));
        DB::transaction(function () use ($site, $words, $queries): void {
            $site->update(['never' => $words === [] ? null : $words]);
            $all = DB::table('entries')->where('site_id', $site->id);
            $barred = $queries === [] ? '0' : 'id IN (SELECT rowid FROM entry_words WHERE entry_words MATCH ?)';
            $bindings = $queries === [] ? [] : [WordMatches::at($site->id, 'said : ('.implode(' OR ', array_unique($queries)).')')];
            (clone $all)->where('barred', true)->whereRaw("NOT ($barred)", $bindings)->update(['barred' => false]);
            (clone $all)->where('barred', false)->whereRaw($barred, $bindings)->update(['barred' => true]);
            $this->outbox->site($site, 'The list of words never shown has changed');
        });
    }

    public function hold(Site $site, Hold $hold): void
    {
        $site->update(['hold' => $hold->asksNothing() ? null : $hold->toArray()]);
    }

    /**
     * What the rules make of entries that are new, or whose words have changed.
     *
     * @param  list<PreparedEntry>  $entries
     * @return Closure(PreparedEntry): array{barred: bool, held: bool, held_for: string|null}
     */
    public function on(Site $site, array $entries): Closure
    {
        $hold = Hold::read($site->hold);
        $never = $site->neverWords() === [] ? null : new NeverSaid($site->neverWords());
        $known = $hold->newcomers ? $this->authors($site, $entries) : [];

        return function (PreparedEntry $entry) use ($hold, $never, &$known): array {
            $reasons = [];
            if (! $hold->asksNothing()) {
                $reasons = $hold->reasons($entry->entry, ! isset($known[$entry->author()]), $entry->facts->saying);
                if ($entry->author() !== '') {
                    $known[$entry->author()] = true;
                }
            }

            return [
                'barred' => $never !== null && ! $never->keeps($entry->facts),
                'held' => $reasons !== [],
                'held_for' => $reasons === [] ? null : json_encode($reasons, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            ];
        };
    }

    /**
     * @param  list<PreparedEntry>  $entries
     * @return array<string, true> those of their authors who have said something here before
     */
    private function authors(Site $site, array $entries): array
    {
        $known = [];
        foreach (array_chunk(
            array_values(array_unique(array_map(fn (PreparedEntry $entry): string => $entry->author(), $entries))),
            500,
        ) as $chunk) {
            foreach (
                DB::table('entries')->where('site_id', $site->id)
                    ->whereIn('author', $chunk)
                    ->distinct()
                    ->pluck('author') as $author
            ) {
                $known[Value::text($author)] = true;
            }
        }

        return $known;
    }
}
