<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;

/** RawRows as the database gives them, one by one: where there are many, objects of them would cost more than finding them. */
final class RawRows
{
    /** @return iterable<list<mixed>> */
    public static function of(Builder $query): iterable
    {
        return self::asked($query->toSql(), array_values($query->getBindings()));
    }

    /**
     * The first member of the first row.
     *
     * @param  list<mixed>  $bindings
     */
    public static function first(string $sql, array $bindings): mixed
    {
        foreach (self::asked($sql, $bindings) as $row) {
            return $row[0];
        }

        return null;
    }

    /**
     * @param  list<mixed>  $bindings
     * @return iterable<list<mixed>>
     */
    public static function asked(string $sql, array $bindings): iterable
    {
        $statement = DB::connection()->getPdo()->prepare($sql);
        foreach ($bindings as $index => $value) {
            $statement->bindValue($index + 1, $value, match (true) {
                $value === null => PDO::PARAM_NULL,
                is_int($value) => PDO::PARAM_INT,
                default => PDO::PARAM_STR,
            });
        }
        $statement->execute();
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield array_values($row);
        }
    }
}
