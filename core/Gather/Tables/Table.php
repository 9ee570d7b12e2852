<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Gather\Problem;

/** A table as it was handed over: rows of cells as text, the first row naming the columns. */
final readonly class Table
{
    /** Bounds that every real table of reviews keeps: more is a mistake, or meant to harm. */
    public const MOST_ROWS = 20_000;

    public const MOST_COLUMNS = 100;

    /**
     * @param  string  $format  as people name it: "CSV", "Excel workbook"
     * @param  list<string>  $header
     * @param  array<int, list<string>>  $rows  by their number in the file; as many cells as the header has
     * @param  list<Problem>  $problems
     * @param  array<int, array<int, string>>  $links  addresses that cells lead to, by row and column; what they say is in the rows
     */
    private function __construct(
        public string $format,
        public array $header,
        public array $rows,
        public array $problems,
        public array $links,
    ) {
    }

    /**
     * @param  iterable<int, list<string>>  $rows  by number, the header first
     * @param  list<Problem>  $problems
     * @param  array<int, array<int, string>>  $links
     *
     * @throws TableIsWrong where there is no header, or more than the bounds allow
     */
    public static function of(string $format, iterable $rows, array $problems = [], array $links = []): self
    {
        $header = null;
        $kept = [];
        foreach ($rows as $number => $cells) {
            $cells = array_map(fn (string $cell): string => trim($cell, " \t\n\r\0\x0B\u{A0}\u{FEFF}"), $cells);
            while ($cells !== [] && end($cells) === '') {
                array_pop($cells);
            }
            if ($cells === []) {
                continue;
            }
            if ($header === null) {
                $header = self::header($cells);

                continue;
            }
            if (count($kept) >= self::MOST_ROWS) {
                throw TableIsWrong::tooManyRows();
            }
            if (count($cells) > count($header)) {
                $problems[] = new Problem(
                    "row $number",
                    'It has more cells than the first row names ('.count($cells).' instead of '.count($header)
                        .'); those beyond were left out.',
                );
            }
            $kept[$number] = array_slice(array_pad($cells, count($header), ''), 0, count($header));
        }
        if ($header === null) {
            throw TableIsWrong::empty();
        }

        return new self($format, $header, $kept, array_slice($problems, 0, 50), $links);
    }

    /** @return list<string> the column's cells that are not blank */
    public function column(int $index): array
    {
        return array_values(array_filter(
            array_map(fn (array $row): string => $row[$index] ?? '', $this->rows),
            fn (string $cell): bool => $cell !== '',
        ));
    }

    /**
     * @param  non-empty-list<string>  $cells
     * @return non-empty-list<string>
     */
    private static function header(array $cells): array
    {
        if (count($cells) > self::MOST_COLUMNS) {
            throw TableIsWrong::tooManyColumns(count($cells));
        }
        foreach ($cells as $cell) {
            // What stands here is what rows hold, not what columns are called.
            if (
                mb_strlen($cell) > 80
                || preg_match('~^https?://|^\S+@\S+\.\S+$|^\d{1,4}([-./]\d{1,2}){2}|^[\d.,]+(\s*/\s*\d+|%)?$|^[★⭐☆ ]+$~u', $cell) === 1
            ) {
                throw TableIsWrong::noHeader($cell);
            }
        }

        return $cells;
    }
}
