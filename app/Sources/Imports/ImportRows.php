<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Models\Import;
use DateTimeZone;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\RatingException;
use Gnomic\Gather\Tables\Column;
use Gnomic\Gather\Tables\DateOrder;
use Gnomic\Gather\Tables\EntryRow;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\Table;
use Gnomic\Gather\Tables\TableColumns;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;

/** A file that was handed over, as rows of entries: a table by its columns, or JSON Lines. */
final readonly class ImportRows
{
    /** @param  Table|null  $table null for JSON Lines */
    private function __construct(
        public ?Table $table,
        public ?TableColumns $columns,
        public ?DateOrder $order,
        private string $lines,
        private DateTimeZone $zone,
    ) {
    }

    /**
     * @param  array<string, int>|null  $said  columns as the owner said, or as remembered
     *
     * @throws TableIsWrong
     */
    public static function of(Import $import, ?array $said): self
    {
        $bytes = (string) file_get_contents($import->file());
        $zone = $import->site->zone();
        if (self::areLines($bytes)) {
            return new self(null, null, DateOrder::DayFirst, $bytes, $zone);
        }
        $table = TableReader::read($bytes);
        $columns = $said === null ? TableColumns::found($table) : TableColumns::said($said, $table);
        $order = DateOrder::tryFrom((string) $import->dates) ?? DateOrder::evident(EntryRows::dates($table, $columns));

        return new self($table, $columns, $order, '', $zone);
    }

    /** Whether it is JSON Lines: it begins with an object. */
    public static function areLines(string $bytes): bool
    {
        return preg_match('/^(?:\xEF\xBB\xBF)?\s*\{/', $bytes) === 1;
    }

    public function count(): int
    {
        return $this->table === null ? substr_count(rtrim($this->lines), "\n") + 1 : count($this->table->rows);
    }

    /** Whether there is a column that makes an entry of a row. */
    public function saysSomething(): bool
    {
        return $this->columns === null
            || $this->columns->has(Column::Text)
            || $this->columns->has(Column::Rating)
            || $this->columns->has(Column::Title);
    }

    /** @return iterable<EntryRow> */
    public function all(): iterable
    {
        if ($this->table !== null && $this->columns !== null) {
            yield from (new EntryRows($this->table, $this->columns, $this->order ?? DateOrder::DayFirst, $this->zone))->all();

            return;
        }
        foreach (explode("\n", rtrim($this->lines)) as $index => $line) {
            try {
                $value = JsonText::decode($line);
                $entry = EntryJson::read($value);
                yield new EntryRow($index + 1, $entry, [], EntryJson::unusable($value, $entry));
            } catch (MemberIsWrong|RatingException $wrong) {
                yield new EntryRow($index + 1, null, [$wrong->getMessage()]);
            } catch (JsonIsBroken $wrong) {
                yield new EntryRow($index + 1, null, ["This is not JSON, column $wrong->column: $wrong->what"]);
            }
        }
    }
}
