<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Memo;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Tally;
use Gnomic\Sift\TallyClass;

/**
 * All that a site collected, counted by what each clause of a brief makes of it. Entries are alike to most clauses when they
 * agree in a few columns (the column "alike"); those clauses are asked once for each class. For the others, the database
 * walks the index and gives one figure an entry. Entries that are picked by hand are taken out and judged one by one.
 */
final readonly class SiteTally
{
    /**
     * Digits for the figure that an entry gets: six bits each, one bit for each clause that is not of whole classes. Where
     * there are more such clauses, an entry gets more digits.
     */
    private const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz-_';

    private const BITS = 6;

    /** Entries that are sooner fetched one by one than walked past. */
    public const FEW = 6000;

    /** The same, where nothing but their class is asked. */
    private const FEW_OF_CLASSES = 40_000;

    public Tally $tally;

    public WordMatches $matches;

    /** What orders of the same entries have in common. */
    public Memo $orders;

    /** @var array<string, array{facts: Facts, oldest: float|null, times: array<int, int>}> */
    private array $classes;

    /**
     * @param  array<string, array{facts: Facts, oldest: float|null, times: array<int, int>}>|null  $classes  as they were counted
     *     before
     */
    public function __construct(private Site $site, private Sieve $sieve, ?array $classes = null)
    {
        $this->matches = new WordMatches($site->id);
        $this->orders = new Memo;
        $this->classes = $classes ?? $this->classes();
        $this->tally = $this->counted();
    }

    /** The same entries by another sieve: where that one asks whole classes alone, they are not walked again. */
    public function by(Sieve $sieve): self
    {
        $classes = $this->classes;
        foreach ($classes as $class => ['times' => $times]) {
            $classes[$class]['times'] = [0 => array_sum($times)];
        }

        return new self($this->site, $sieve, $sieve->own() === [] ? $classes : null);
    }

    /** @return list<string> classes that pass every clause which is asked of classes, and have entries that pass the others */
    public function passing(): array
    {
        return array_map(
            strval(...),
            array_keys(array_filter(
                $this->classes,
                fn (array $class): bool => ($class['times'][0] ?? 0) > 0 && $this->sieve->failuresOfClass($class['facts']) === 0,
            )),
        );
    }

    private function counted(): Tally
    {
        $classes = $this->classes;
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
    private static function one(Facts $facts, Sieve $sieve, int $times, ?float $oldest, int $more): TallyClass
    {
        return new TallyClass(
            ($facts->id === '' ? $sieve->failuresOfClass($facts) : $sieve->failures($facts)) | $more,
            $sieve->counts($facts),
            $facts->source,
            $facts->stars,
            $facts->length > 0,
            $times,
            $oldest,
        );
    }

    /**
     * @return array<string, array{facts: Facts, oldest: float|null, times: array<int, int>}> by class; how often each figure occurs in it
     */
    private function classes(): array
    {
        $found = $this->foundAlone();
        $rows = $found !== null || $this->sieve->own() === [] ? $this->counts() : $this->figures();
        $classes = [];
        foreach ($rows as [$class, $oldest, $figures]) {
            $class = Value::text($class);
            $times = match (true) {
                ! is_int($figures) => $this->times(Value::text($figures)),
                $found === null => [0 => $figures],
                default => [0 => $found[$class] ?? 0, 1 => $figures - ($found[$class] ?? 0)],
            };
            $classes[$class] = [
                'facts' => self::factsOf($class),
                'oldest' => $oldest === null ? null : Value::number($oldest),
                'times' => $times,
            ];
        }

        return $classes;
    }

    /**
     * Each class, its oldest date and how many it has; found from the one before it by a step in the index: many entries, few classes.
     *
     * @return iterable<list<mixed>>
     */
    private function counts(): iterable
    {
        $site = $this->site->id;

        return RawRows::asked(
            'WITH RECURSIVE classes(class) AS (
                SELECT MIN(alike) FROM entries WHERE site_id = ?
                UNION ALL
                SELECT (SELECT MIN(alike) FROM entries WHERE site_id = ? AND alike > class) FROM classes WHERE class IS NOT NULL
            )
            SELECT class,
                (SELECT MIN(published) FROM entries WHERE site_id = ? AND alike = class),
                (SELECT COUNT(*) FROM entries WHERE site_id = ? AND alike = class)
            FROM classes WHERE class IS NOT NULL',
            [$site, $site, $site, $site],
        );
    }

    /**
     * Each class, its oldest date and a digit for each of its entries.
     *
     * @return iterable<list<mixed>>
     */
    private function figures(): iterable
    {
        $own = $this->matches->prepared($this->sieve->ownFailuresInSql() ?? new Condition('0'));
        // Numbers below ten are digits as they are. What is worked out once is cut into as many digits as it needs.
        $figure = count($this->sieve->own()) < 4
            ? 'figure'
            : implode(
                ' || ',
                array_map(
                    fn (int $digit): string => "SUBSTR('".self::DIGITS."', ((figure >> ".self::BITS * $digit.') & 63) + 1, 1)',
                    range(0, $this->digits() - 1),
                ),
            );

        return RawRows::asked(
            "SELECT alike, MIN(published), GROUP_CONCAT($figure, '') FROM (SELECT alike, published, $own->sql AS figure FROM entries "
                .'INDEXED BY entries_alike WHERE site_id = ?) GROUP BY alike',
            [...$own->bindings, $this->site->id],
        );
    }

    /** Digits that an entry gets. */
    private function digits(): int
    {
        return max(1, intdiv(count($this->sieve->own()) + self::BITS - 1, self::BITS));
    }

    /**
     * Where words are all that is asked entry by entry, and not too many have them: how many in each class do.
     *
     * @return array<string, int>|null
     */
    private function foundAlone(): ?array
    {
        $own = $this->sieve->own();
        $found = count($own) === 1 ? $this->matches->alone($this->sieve->clauses[$own[0]]->condition()) : null;
        if ($found === null || $found['count'] > self::FEW_OF_CLASSES) {
            return null;
        }
        $counts = [];
        foreach (RawRows::asked(
            'SELECT alike, COUNT(*) FROM entries INDEXED BY entries_by_id '
                ."WHERE site_id = ? AND id IN (SELECT entry FROM temp.{$found['table']}) GROUP BY alike",
            [$this->site->id],
        ) as [$class, $count]) {
            $counts[Value::text($class)] = is_int($count) ? $count : 0;
        }

        return $counts;
    }

    /** @return array<int, int> how often each figure stands in a line of digits, the lowest digit first */
    private function times(string $line): array
    {
        $times = [];
        $digits = max(1, $this->digits());
        $counts = $digits === 1 ? count_chars($line, 1) : array_count_values(str_split($line, $digits));
        foreach ($counts as $written => $count) {
            $figure = 0;
            foreach (str_split($digits === 1 ? chr((int) $written) : (string) $written) as $place => $digit) {
                $figure |= (int) strpos(self::DIGITS, $digit) << self::BITS * $place;
            }
            $times[$figure] = $count;
        }

        return $times;
    }

    /**
     * Takes those that are picked out of their classes.
     *
     * @param  array<string, array{facts: Facts, oldest: float|null, times: array<int, int>}>  $classes
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
            // Where somebody changed it since the classes were counted, it is counted there still, for this once.
            if (isset($classes[$class]['times'][$own])) {
                $classes[$class]['times'][$own]--;
            }
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
        [
            $source,
            $kind,
            $gone,
            $hidden,
            $held,
            $barred,
            $duplicateOf,
            $stars,
            $worded,
            $pictured,
            $replied,
            $subject,
            $language,
        ] = Value::list(json_decode($class, true, 2, JSON_THROW_ON_ERROR));

        return new Facts(
            '',
            Value::text($source),
            Value::text($kind),
            $stars === null ? null : Value::number($stars),
            Value::whole($worded),
            null,
            (bool) $gone,
            (bool) $hidden,
            EntryRecord::apart(Value::textOrNull($duplicateOf)),
            (bool) $held,
            Value::textOrNull($subject),
            language: Value::textOrNull($language),
            pictures: Value::whole($pictured),
            replied: (bool) $replied,
            barred: (bool) $barred,
        );
    }

    /** The class as the database writes it. */
    private static function classOf(Facts $entry): string
    {
        return Value::text(RawRows::first(
            'SELECT json_array(?, ?, ?, ?, ?, ?, ?, CAST(? AS REAL), ?, ?, ?, ?, ?)',
            [
                $entry->source,
                $entry->kind,
                (int) $entry->gone,
                (int) $entry->hidden,
                (int) $entry->held,
                (int) $entry->barred,
                $entry->duplicateOf === [] ? null : EntryRecord::betweenBars($entry->duplicateOf),
                $entry->stars,
                (int) ($entry->length > 0),
                (int) ($entry->pictures > 0),
                (int) $entry->replied,
                $entry->subject,
                $entry->language,
            ],
        ));
    }
}
