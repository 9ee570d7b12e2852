<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Gather\Problem;

/** A table as it was handed over: rows of cells as text, below a row that names the columns, or under names made up for them. */
final readonly class Table
{
    /** Bounds that every real table of reviews keeps: more is a mistake, or meant to harm. */
    public const MOST_ROWS = 20_000;

    public const MOST_COLUMNS = 100;

    /** Bytes of all cells together, and of one. */
    public const MOST_BYTES = 67_108_864;

    public const LONGEST_CELL = 200_000;

    /**
     * @param  string  $format  as people name it: "CSV", "Excel workbook"
     * @param  list<string>  $header
     * @param  array<int, list<string>>  $rows  by their number in the file; as many cells as the header has
     * @param  list<Problem>  $problems
     * @param  array<int, array<int, string>>  $links  addresses that cells lead to, by row and column; what they say is in the rows
     * @param  bool  $isNamed  whether a row names the columns
     */
    private function __construct(
        public string $format,
        public array $header,
        public array $rows,
        public array $problems,
        public array $links,
        public bool $isNamed,
    ) {
    }

    /**
     * The first sheet that names columns we know, else the first that has rows; with the rows of those that name the same.
     *
     * @param  list<Sheet>  $sheets
     * @param  list<Problem>  $problems
     * @param  array<int, array<int, array<int, string>>>  $links  by the place of the sheet
     *
     * @throws TableIsWrong where there is no row, or more than the bounds allow
     */
    public static function of(string $format, array $sheets, array $problems = [], array $links = []): self
    {
        $main = self::main($sheets) ?? throw TableIsWrong::empty();
        $header = $sheets[$main]->names();
        if (count($header) > self::MOST_COLUMNS) {
            throw TableIsWrong::tooManyColumns(count($header));
        }
        $rows = $joined = [];
        foreach ($sheets as $place => $sheet) {
            if ($place !== $main && ($sheet->header === null || self::folded($sheet->names()) !== self::folded($header))) {
                continue;
            }
            $before = $rows === [] ? 0 : (int) array_key_last($rows);
            if ($rows !== []) {
                $problems[] = new Problem(
                    '',
                    "The sheet \"$sheet->name\" has the same columns; its rows are counted on from ".($before + 1).'.',
                );
            }
            ['rows' => $body, 'above' => $above, 'below' => $below] = $sheet->body();
            foreach (['above the names of the columns' => $above, 'below the last row, as totals do' => $below] as $where => $numbers) {
                if ($numbers !== []) {
                    $problems[] = new Problem('row '.implode(', ', $numbers), "What stands $where is no entry; it was skipped.");
                }
            }
            foreach ($body as $number => $cells) {
                if (count($cells) > count($header)) {
                    $problems[] = new Problem('row '.($before + $number), 'It has more cells than the columns that are named ('
                        .count($cells).' instead of '.count($header).'); those beyond were left out.');
                }
                $rows[$before + $number] = array_slice(array_pad($cells, count($header), ''), 0, count($header));
                if (isset($links[$place][$number])) {
                    $joined[$before + $number] = $links[$place][$number];
                }
            }
        }
        if (count($rows) > self::MOST_ROWS) {
            throw TableIsWrong::tooManyRows();
        }
        if ($sheets[$main]->header === null) {
            array_unshift($problems, new Problem('', 'No row names the columns; they were guessed from their contents.'));
        }

        return new self($format, $header, $rows, array_slice($problems, 0, 50), $joined, $sheets[$main]->header !== null);
    }

    /** @return list<string> the column's cells that are not blank */
    public function column(int $index): array
    {
        return array_values(array_filter(
            array_map(fn (array $row): string => $row[$index] ?? '', $this->rows),
            fn (string $cell): bool => $cell !== '',
        ));
    }

    /** @param  list<Sheet>  $sheets */
    private static function main(array $sheets): ?int
    {
        $first = null;
        foreach ($sheets as $place => $sheet) {
            if ($sheet->named >= 2) {
                return $place;
            }
            // A sheet with nothing but a title or two is none.
            $hasRows = count($sheet->rows) > 1 || count(array_values($sheet->rows)[0] ?? []) > 1;
            $first ??= $hasRows ? $place : null;
        }
        foreach ($first === null ? $sheets : [] as $place => $sheet) {
            if ($sheet->rows !== []) {
                return $place;
            }
        }

        return $first;
    }

    /**
     * @param  list<string>  $header
     * @return list<string>
     */
    private static function folded(array $header): array
    {
        return array_map(TableColumns::folded(...), $header);
    }
}
