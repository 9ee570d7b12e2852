<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Entry;
use App\Models\Site;
use Gnomic\Sift\Counted;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Tally;
use RuntimeException;

/**
 * All that a site collected, counted by what each clause of a brief makes of it. Entries are alike to most clauses when they
 * agree in a few columns (the column "alike"); those clauses are asked once for each class. For the others, the database
 * walks the index and gives one figure an entry. Entries that are picked by hand are taken out and judged one by one.
 */
final readonly class SiteTally
{
    /** Digits for the figure that an entry gets: one bit for each clause that is not of whole classes. */
    private const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz-_';

    public function __construct(private Site $site, private Sieve $sieve, private Matches $matches)
    {
    }

    public function counted(): Tally
    {
        $classes = $this->classes();
        $counted = [];
        foreach ($this->takeOut($classes) as $entry) {
            $counted[] = self::one($entry, $this->sieve, 1, $entry->published, 0);
        }
        foreach ($classes as ['facts' => $facts, 'oldest' => $oldest, 'times' => $times]) {
            foreach ($times as $own => $count) {
                if ($count > 0) {
                    $counted[] = self::one($facts, $this->sieve, $count, $oldest, $this->bits($own));
                }
            }
        }

        return new Tally($this->sieve, $counted);
    }

    /** @param  int  $more  failures besides those of the facts */
    private static function one(Facts $facts, Sieve $sieve, int $times, ?int $oldest, int $more): Counted
    {
        return new Counted(($facts->id === '' ? $sieve->failuresOfClass($facts) : $sieve->failures($facts)) | $more, $sieve->counts($facts), $facts->source, $facts->stars, $facts->length > 0, $times, $oldest);
    }

    /** @return array<string, array{facts: Facts, oldest: int|null, times: array<int, int>}> by class; how often each figure occurs in it */
    private function classes(): array
    {
        $own = $this->sieve->ownFailuresInSql();
        $own = $own === null ? null : $this->matches->prepared($own);
        // Numbers below ten are digits as they are.
        $figure = $own === null || count($this->sieve->own()) < 4 ? $own?->sql : "SUBSTR('".self::DIGITS."', $own->sql + 1, 1)";
        $site = $this->site->id;
        $rows = $own === null
            // Each class is found from the one before it by a step in the index: many entries, few classes.
            ? Rows::asked('WITH RECURSIVE classes(class) AS (SELECT MIN(alike) FROM entries WHERE site_id = ? UNION ALL SELECT (SELECT MIN(alike) FROM entries WHERE site_id = ? AND alike > class) FROM classes WHERE class IS NOT NULL)
                SELECT class, (SELECT MIN(published) FROM entries WHERE site_id = ? AND alike = class), (SELECT COUNT(*) FROM entries WHERE site_id = ? AND alike = class) FROM classes WHERE class IS NOT NULL', [$site, $site, $site, $site])
            : Rows::asked("SELECT alike, MIN(published), GROUP_CONCAT($figure, '') FROM entries INDEXED BY entries_alike WHERE site_id = ? GROUP BY alike", [...$own->bindings, $site]);
        $classes = [];
        foreach ($rows as [$class, $oldest, $figures]) {
            $classes[(string) $class] = ['facts' => self::factsOf((string) $class), 'oldest' => $oldest === null ? null : (int) $oldest, 'times' => $own === null ? [0 => (int) $figures] : self::times((string) $figures)];
        }

        return $classes;
    }

    /** @return array<int, int> how often each figure stands in a line of digits */
    private static function times(string $digits): array
    {
        $times = [];
        foreach (count_chars($digits, 1) as $byte => $count) {
            $times[(int) strpos(self::DIGITS, chr($byte))] = $count;
        }

        return $times;
    }

    /**
     * Takes those that are picked out of their classes.
     *
     * @param  array<string, array{facts: Facts, oldest: int|null, times: array<int, int>}>  $classes
     * @return list<Facts>
     */
    private function takeOut(array &$classes): array
    {
        $picked = array_values(StoredFacts::of($this->site, $this->sieve->picked()));
        foreach ($picked as $entry) {
            $own = 0;
            foreach ($this->sieve->own() as $place => $index) {
                $own |= $this->sieve->clauses[$index]->keeps($entry) ? 0 : 1 << $place;
            }
            $class = self::classOf($entry);
            if (! isset($classes[$class]['times'][$own])) {
                throw new RuntimeException("The index has no class $class for an entry that is there.");
            }
            $classes[$class]['times'][$own]--;
        }

        return $picked;
    }

    /** The places of the clauses that a figure names, as bits of Sieve::failures(). */
    private function bits(int $own): int
    {
        $bits = 0;
        foreach ($this->sieve->own() as $place => $index) {
            $bits |= ($own & 1 << $place) === 0 ? 0 : 1 << $index;
        }

        return $bits;
    }

    /** Any one of a class: no more is known of it than what they agree in. */
    private static function factsOf(string $class): Facts
    {
        [$source, $kind, $gone, $hidden, $held, $barred, $toldBy, $stars, $worded, $pictured, $replied, $subject, $language] = json_decode($class, true, 2, JSON_THROW_ON_ERROR);

        return new Facts('', $source, $kind, $stars === null ? null : (float) $stars, $worded, null, (bool) $gone, (bool) $hidden, Entry::apart($toldBy), (bool) $held, $subject,
            language: $language, pictures: $pictured, replied: (bool) $replied, barred: (bool) $barred);
    }

    /** The class as the database writes it. */
    private static function classOf(Facts $entry): string
    {
        return (string) Rows::first('SELECT json_array(?, ?, ?, ?, ?, ?, ?, CAST(? AS REAL), ?, ?, ?, ?, ?)', [$entry->source, $entry->kind, (int) $entry->gone, (int) $entry->hidden, (int) $entry->held, (int) $entry->barred,
            $entry->toldBy === [] ? null : Entry::betweenBars($entry->toldBy), $entry->stars, (int) ($entry->length > 0), (int) ($entry->pictures > 0), (int) $entry->replied, $entry->subject, $entry->language]);
    }
}
