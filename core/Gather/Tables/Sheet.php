<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Text\Fold;

/**
 * The rows of one sheet as they stand, and what is a table among them: lines above the names of the columns, and totals and
 * remarks below, are no rows.
 */
final readonly class Sheet
{
    /** Cells of a row that are looked at; Table::MOST_COLUMNS may be named. */
    public const EDGE = 1_000;

    /** Rows at the top among which the names of the columns are looked for. */
    private const TOP = 15;

    /** Rows at the end that can be totals. */
    private const BOTTOM = 4;

    /** How a line of totals begins, in the languages that columns are known in. */
    private const TOTALS = '/^(?:grand |sub)?(?:totals?|sum|averages?|avg|mean|count|number of (?:reviews|entries|ratings)|overall'
        .'|summe|gesamt\w*|zwischensumme|durchschnitt\w*|mittelwert|anzahl|moyenne|somme|nombre|total general|promedio|media|suma'
        .'|numero|totale|somma|gemiddelde?|totaal|aantal|soma|合計|平均|总计|合计)\b/u';

    /**
     * @param  array<int, list<string>>  $rows  by their number in the file, those that are not blank; cells are trimmed
     * @param  int|null  $header  number of the row that names the columns; null where none does
     */
    private function __construct(public string $name, public array $rows, public ?int $header, public int $named)
    {
    }

    /**
     * @param  iterable<int, list<string>>  $rows  by number
     * @param  int  $most  rows that are read
     *
     * @throws TableIsWrong where there is more than the bounds allow
     */
    public static function of(string $name, iterable $rows, int $most = Table::MOST_ROWS): self
    {
        $kept = [];
        $bytes = 0;
        foreach ($rows as $number => $cells) {
            $cells = array_map(self::trimmed(...), $cells);
            while ($cells !== [] && end($cells) === '') {
                array_pop($cells);
            }
            if ($cells === []) {
                continue;
            }
            // Some stand above the names of the columns, or below the last row.
            if (count($kept) > $most + self::TOP) {
                throw TableIsWrong::tooManyRows();
            }
            $bytes += array_sum(array_map(strlen(...), $cells));
            if ($bytes > Table::MOST_BYTES) {
                throw TableIsWrong::tooLarge(intdiv(Table::MOST_BYTES, 1_048_576));
            }
            $kept[$number] = $cells;
        }
        [$header, $named] = self::header($kept);

        return new self($name, $kept, $header, $named);
    }

    /** @return list<string> names of the columns; made up where no row names them */
    public function names(): array
    {
        return $this->header !== null ? $this->rows[$this->header]
            : array_map(fn (int $index): string => "Column $index", range(1, max(1, self::widest($this->rows))));
    }

    /**
     * The rows of the table alone.
     *
     * @return array{rows: array<int, list<string>>, above: list<int>, below: list<int>} above and below by their numbers
     */
    public function body(): array
    {
        $above = $below = [];
        $rows = $this->rows;
        foreach ($this->header === null ? [] : array_keys($rows) as $number) {
            if ($number < $this->header) {
                $above[] = $number;
            }
            if ($number <= $this->header) {
                unset($rows[$number]);
            }
        }
        $columns = count($this->names());
        for ($times = 0; $times < self::BOTTOM && count($rows) > 1; $times++) {
            $last = (int) array_key_last($rows);
            $before = array_keys($rows)[count($rows) - 2];
            if (! self::isTotal($rows[$last], $columns, $last - $before > 1)) {
                break;
            }
            array_unshift($below, $last);
            unset($rows[$last]);
        }

        return ['rows' => $rows, 'above' => $above, 'below' => $below];
    }

    /** What stands in such a cell is what rows hold, not what columns are called. */
    public static function isValue(string $cell): bool
    {
        return mb_strlen($cell) > 80
            || preg_match('~^https?://|^\S+@\S+\.\S+$|^\d{1,4}([-./]\d{1,2}){2}|^[\d.,]+(\s*/\s*\d+|%)?$|^[★⭐☆ ]+$~u', $cell) === 1;
    }

    private static function trimmed(string $cell): string
    {
        if ($cell === '') {
            return '';
        }
        $cell = trim($cell, " \t\n\r\0\x0B");
        $cell = (string) preg_replace('/^[\s\x{A0}\x{FEFF}]+|[\s\x{A0}\x{FEFF}]+$/u', '', mb_scrub($cell, 'UTF-8'));

        return strlen($cell) > Table::LONGEST_CELL ? mb_strcut($cell, 0, Table::LONGEST_CELL, 'UTF-8') : $cell;
    }

    /**
     * Cells of the longest of some rows.
     *
     * @param  array<int, list<string>>  $rows
     */
    private static function widest(array $rows): int
    {
        return $rows === [] ? 0 : max(array_map(count(...), $rows));
    }

    /**
     * The first row near the top that names two columns or more; else the first that is no title, unless it holds values.
     *
     * @param  array<int, list<string>>  $rows
     * @return array{int|null, int} its number, and how many columns it names
     */
    private static function header(array $rows): array
    {
        $top = array_slice($rows, 0, self::TOP, true);
        foreach ($top as $number => $cells) {
            $named = TableColumns::named($cells);
            if ($named >= 2 && array_filter($cells, self::isValue(...)) === []) {
                return [$number, $named];
            }
        }
        $widest = self::widest(array_slice($rows, 0, 50));
        foreach ($top as $number => $cells) {
            $filled = count(array_filter($cells, fn (string $cell): bool => $cell !== ''));
            if ($filled === 1 && $widest > 1 && TableColumns::named($cells) === 0) {
                continue; // a title
            }
            $isNamed = array_filter($cells, self::isValue(...)) === [];

            return [
                $isNamed && (TableColumns::named($cells) > 0 || ! self::isLikeThoseBelow($number, $rows)) ? $number : null,
                $isNamed ? 1 : 0,
            ];
        }

        return [null, 0];
    }

    /**
     * Whether a row says what the rows below it say, so that it is one of them: sentences, where there are sentences.
     *
     * @param  array<int, list<string>>  $rows
     */
    private static function isLikeThoseBelow(int $number, array $rows): bool
    {
        $below = array_filter($rows, fn (int $other): bool => $other > $number, ARRAY_FILTER_USE_KEY);
        foreach ($rows[$number] as $index => $cell) {
            $lengths = array_diff(array_map(fn (array $row): int => mb_strlen($row[$index] ?? ''), array_slice($below, 0, 50)), [0]);
            if ($lengths !== [] && array_sum($lengths) / count($lengths) > 30 && mb_strlen($cell) > 30) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<string>  $cells */
    private static function isTotal(array $cells, int $columns, bool $isApart): bool
    {
        $filled = array_values(array_filter($cells, fn (string $cell): bool => $cell !== ''));
        $isShort = $filled !== [] && max(array_map(mb_strlen(...), $filled)) <= 40;
        $first = Fold::text($filled[0] ?? '');

        return $columns > 1 && $isShort && (
            (count($filled) <= max(2, intdiv($columns, 2)) && preg_match(self::TOTALS, $first) === 1)
            || ($isApart && count($filled) === 1 && $columns > 2 && $cells[0] !== '')
        );
    }
}
