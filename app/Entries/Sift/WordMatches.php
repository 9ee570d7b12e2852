<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use Gnomic\Sift\Clauses\WithTerms;
use Gnomic\Sift\Condition;
use Illuminate\Support\Facades\DB;

/**
 * What the index of words finds, kept in tables of this connection for as long as a brief is looked at: the index is asked
 * once for each list of words, and not in every walk.
 */
final class WordMatches
{
    private static int $next = 0;

    /** @var array<string, string> tables by what they were asked */
    private array $tables = [];

    public function __construct(private readonly int $siteId)
    {
    }

    /** What is asked of the index, of one site's entries only. */
    public static function at(int $siteId, string $query): string
    {
        return "site_id : \"$siteId\" AND ($query)";
    }

    public function __destruct()
    {
        foreach ($this->tables as $table) {
            DB::statement("DROP TABLE IF EXISTS temp.$table");
        }
    }

    /** The same condition, by what was found before. */
    public function prepared(Condition $condition): Condition
    {
        $sql = $condition->sql;
        $bindings = $condition->bindings;
        while (($at = strpos($sql, WithTerms::MATCHING)) !== false) {
            $place = substr_count(substr($sql, 0, $at), '?');
            $table = $this->found((string) $bindings[$place]);
            array_splice($bindings, $place, 1);
            $sql = substr_replace($sql, "IN temp.$table", $at, strlen(WithTerms::MATCHING));
        }

        return new Condition($sql, array_values($bindings));
    }

    /**
     * The table of what is found, where the condition asks for nothing else, and how many they are.
     *
     * @return array{table: string, count: int}|null
     */
    public function alone(Condition $condition): ?array
    {
        if ($condition->sql !== '(id '.WithTerms::MATCHING.')') {
            return null;
        }
        $table = $this->found((string) $condition->bindings[0]);
        $count = RawRows::first("SELECT COUNT(*) FROM temp.$table", []);

        return ['table' => $table, 'count' => is_int($count) ? $count : 0];
    }

    private function found(string $query): string
    {
        if (! isset($this->tables[$query])) {
            $table = 'matches_'.self::$next++;
            DB::statement("CREATE TEMP TABLE $table (entry INTEGER PRIMARY KEY)");
            $asked = self::at($this->siteId, $query);
            DB::insert("INSERT INTO temp.$table SELECT rowid FROM entry_words WHERE entry_words MATCH ?", [$asked]);
            $this->tables[$query] = $table;
        }

        return $this->tables[$query];
    }
}
