<?php

declare(strict_types=1);

namespace App\Entries;

use App\Editions\RefreshSite;
use App\Models\Entry as StoredEntry;
use App\Models\Site;
use Gnomic\Entry\Entry;
use Gnomic\Sift\Clauses\NeverSaid;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Hold;
use Gnomic\Sift\Term;
use Illuminate\Support\Facades\DB;

/** A site's own rules: words that are never shown, and which new entries wait for a decision. */
final class Rules
{
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
            $bindings = $queries === [] ? [] : ['said : ('.implode(' OR ', array_unique($queries)).')'];
            (clone $all)->where('barred', true)->whereRaw("NOT ($barred)", $bindings)->update(['barred' => false]);
            (clone $all)->where('barred', false)->whereRaw($barred, $bindings)->update(['barred' => true]);
        });
        RefreshSite::dispatch($site->id, 'The words never shown are others now');
    }

    public function hold(Site $site, Hold $hold): void
    {
        $site->update(['hold' => $hold->asksNothing() ? null : $hold->toArray()]);
    }

    /**
     * What the rules make of entries that are new, or whose words have changed.
     *
     * @param  list<Entry>  $entries
     * @return callable(Entry): array{barred: bool, held: bool, held_for: string|null}
     */
    public function on(Site $site, array $entries): callable
    {
        $hold = Hold::read($site->hold);
        $never = $site->neverWords() === [] ? null : new NeverSaid($site->neverWords());
        $known = $hold->newcomers ? $this->authors($site, $entries) : [];

        return function (Entry $entry) use ($hold, $never, &$known): array {
            $reasons = [];
            if (! $hold->asksNothing()) {
                $author = self::authorOf($entry);
                $reasons = $hold->reasons($entry, ! isset($known[$author]));
                if ($author !== '') {
                    $known[$author] = true;
                }
            }

            return ['barred' => $never !== null && ! $never->keeps(Facts::of($entry)), 'held' => $reasons !== [], 'held_for' => $reasons === [] ? null : json_encode($reasons, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)];
        };
    }

    /**
     * @param  list<Entry>  $entries
     * @return array<string, true> those of their authors who have said something here before
     */
    private function authors(Site $site, array $entries): array
    {
        $known = [];
        foreach (array_chunk(array_values(array_unique(array_map(self::authorOf(...), $entries))), 500) as $chunk) {
            foreach (DB::table('entries')->where('site_id', $site->id)->whereIn('author', $chunk)->distinct()->pluck('author') as $author) {
                $known[(string) $author] = true;
            }
        }

        return $known;
    }

    /** As the column has it; empty where nobody is named. */
    private static function authorOf(Entry $entry): string
    {
        $author = StoredEntry::askedColumns($entry, '', [])['author'];

        return is_string($author) ? $author : '';
    }
}
