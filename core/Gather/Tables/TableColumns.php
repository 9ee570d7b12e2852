<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Dates\DateReader;
use Gnomic\Entry\RatingText;
use Gnomic\Text\Fold;

/** Which column of a table holds what: by its name first, and where a name is not known by what stands below it. */
final readonly class TableColumns
{
    /** Names that mean a column when they stand alone, and nothing within others. */
    private const EVERYDAY = ['when', 'where', 'about', 'from', 'best', 'local', 'time', 'user', 'site', 'land', 'type', 'genre'];

    /** What nobody is shown by: where people can be reached. It is taken for no other column that is named by a part of its name. */
    private const PRIVATE = '/\b(?:e ?mail|mail|phone|telephone|mobile|telefon|telefoon|telefono|telefone|ip)\b/u';

    private const MAIL = '/^[^@\s]+@[^@\s]+$/';

    /** Of cells that are sentences: so many words, and so few that are the same. */
    private const WORDS_OF_SENTENCES = 4;

    /** What stands between blanks and has a letter; of scripts without blanks, two characters. */
    private const WORD = '/[\p{sc:Han}\p{sc:Hiragana}\p{sc:Katakana}\p{sc:Thai}]{2}|(?<!\S)[^\s\p{L}]*\p{L}\S*/u';

    private const DISTINCT = 0.8;

    /**
     * @param  array<string, int>  $places  index of a column by the value of Column
     * @param  array<int, string>  $reasons  why a column was taken for what it is, by index
     * @param  list<int>  $guessed  those that were told by what stands below their names
     */
    private function __construct(public array $places, public array $reasons, public array $guessed = [])
    {
    }

    public static function found(Table $table): self
    {
        $places = $reasons = [];
        $names = array_map(self::folded(...), $table->header);
        foreach ([true, false] as $whole) {
            foreach (Column::cases() as $column) {
                foreach ($names as $index => $name) {
                    if (isset($places[$column->value]) || isset($reasons[$index])) {
                        continue;
                    }
                    if (self::isNamed($column, $name, $whole)) {
                        $places[$column->value] = $index;
                        $reasons[$index] = "It is called \"{$table->header[$index]}\".";
                    }
                }
            }
        }
        $named = array_keys($reasons);
        $isKnown = $named !== [];
        foreach (array_keys($table->header) as $index) {
            $column = isset($reasons[$index]) ? null : self::byContent($table, $index);
            if ($column !== null && ! isset($places[$column->value])) {
                $places[$column->value] = $index;
                $reasons[$index] = self::because($column);
            }
        }
        $isNamed = $table->isNamed && $isKnown;
        foreach ([Column::Text, Column::Author, Column::Title] as $column) {
            $taken = array_keys($reasons);
            $index = match (true) {
                isset($places[$column->value]) => null,
                $column === Column::Author => Naming::column(self::left($table, $taken), $isNamed),
                $isNamed => $column === Column::Text ? self::sentences($table, $taken) : null,
                $column === Column::Text => self::longest($table, $taken),
                default => isset($places[Column::Text->value]) ? Naming::titles(self::left($table, $taken)) : null,
            };
            if ($index !== null) {
                $places[$column->value] = $index;
                $reasons[$index] = self::because($column);
            }
        }

        asort($places);

        return new self($places, $reasons, array_values(array_diff(array_keys($reasons), $named)));
    }

    /**
     * Where nothing is named: of the columns that are left, the one with the longest cells for the words.
     *
     * @param  list<int>  $taken
     */
    private static function longest(Table $table, array $taken): ?int
    {
        $lengths = array_map(
            fn (array $cells): float => array_sum(array_map(mb_strwidth(...), $cells)) / count($cells),
            self::left($table, $taken),
        );
        arsort($lengths);
        $index = array_key_first($lengths);

        return $index !== null && $lengths[$index] >= 12 ? $index : null;
    }

    /**
     * @param  list<int>  $taken
     * @return array<int, non-empty-list<string>> cells of the columns that are left and hold something, but no addresses of e-mail
     */
    private static function left(Table $table, array $taken): array
    {
        $left = [];
        foreach (array_diff(array_keys($table->header), $taken) as $index) {
            $cells = array_slice($table->column($index), 0, 200);
            if ($cells !== [] && ! self::areMail($cells)) {
                $left[$index] = $cells;
            }
        }

        return $left;
    }

    /**
     * Where others are named: of the columns that are left, the one with the most words, if they are sentences.
     *
     * @param  list<int>  $taken
     */
    private static function sentences(Table $table, array $taken): ?int
    {
        $words = [];
        foreach (array_diff(array_keys($table->header), $taken) as $index) {
            $cells = array_slice($table->column($index), 0, 200);
            if ($cells === [] || self::areMail($cells) || count(array_unique($cells)) < self::DISTINCT * count($cells)) {
                continue;
            }
            $mean = array_sum(array_map(self::words(...), $cells)) / count($cells);
            if ($mean >= self::WORDS_OF_SENTENCES) {
                $words[$index] = $mean;
            }
        }
        arsort($words);

        return array_key_first($words);
    }

    private static function words(string $cell): int
    {
        return (int) preg_match_all(self::WORD, $cell);
    }

    /** @param  list<string>  $cells */
    private static function areMail(array $cells): bool
    {
        return count(array_filter($cells, fn (string $cell): bool => preg_match(self::MAIL, $cell) === 1)) > 0.5 * count($cells);
    }

    /**
     * How many columns the cells of a row name by names we know.
     *
     * @param  list<string>  $cells
     */
    public static function named(array $cells): int
    {
        $named = [];
        foreach ($cells as $cell) {
            $name = mb_strlen($cell) > 60 ? '' : self::folded($cell);
            foreach ($name === '' ? [] : Column::cases() as $column) {
                if (self::isNamed($column, $name, true) || (str_word_count($name) <= 4 && self::isNamed($column, $name, false))) {
                    $named[$column->value] = true;
                    break;
                }
            }
        }

        return count($named);
    }

    /**
     * As the owner says.
     *
     * @param  array<string, int>  $places  by the value of Column; names that are none are passed over
     */
    public static function said(array $places, Table $table): self
    {
        $known = array_filter(
            $places,
            fn (int $index, string $name): bool => Column::tryFrom($name) !== null && isset($table->header[$index]),
            ARRAY_FILTER_USE_BOTH,
        );

        return new self($known, array_fill_keys(array_values($known), 'You said so.'));
    }

    public function has(Column $column): bool
    {
        return isset($this->places[$column->value]);
    }

    /** @param  list<string>  $row */
    public function cell(Column $column, array $row): string
    {
        $index = $this->places[$column->value] ?? null;

        return $index === null ? '' : ($row[$index] ?? '');
    }

    public static function folded(string $name): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}\']+/u', ' ', Fold::text((string) preg_replace('/\([^)]*\)/', ' ', $name))));
    }

    private static function isNamed(Column $column, string $name, bool $whole): bool
    {
        if ($whole) {
            return in_array($name, $column->names(), true);
        }
        if (preg_match(self::PRIVATE, $name) === 1) {
            return false;
        }
        // "reviewer full name", "date of the review": a known name as whole words within, unless it is one that any sentence has.
        foreach (array_diff($column->names(), self::EVERYDAY) as $known) {
            if (mb_strlen($known) >= 4 && preg_match('/\b'.preg_quote($known, '/').'\b/u', $name) === 1) {
                return true;
            }
        }

        return false;
    }

    private static function byContent(Table $table, int $index): ?Column
    {
        $cells = array_slice($table->column($index), 0, 200);
        if ($cells === []) {
            return null;
        }
        $share = fn (callable $is): float => count(array_filter($cells, $is)) / count($cells);

        return match (true) {
            self::counts($cells) => Column::Id,
            $share(fn (string $cell): bool => preg_match('~^https?://\S+$~i', $cell) === 1) > 0.8 => Column::Url,
            $share(
                fn (string $cell): bool => preg_match('/\d/', $cell) === 1
                    && preg_match('/^\d*[.,]?\d+$/', $cell) !== 1
                    && DateReader::read(DateOrder::DayFirst->iso($cell)) !== null,
            ) > 0.8 => Column::Date,
            $share(fn (string $cell): bool => RatingText::read($cell) !== null && mb_strlen($cell) <= 12) > 0.9
                && max(array_map(fn (string $cell): float => RatingText::read($cell)->value ?? 0.0, $cells)) <= 100.0 => Column::Rating,
            array_sum(array_map(mb_strwidth(...), $cells)) / count($cells) > 30 => Column::Text,
            default => null,
        };
    }

    /**
     * Whether the cells count from one to the next, as numbers of rows do.
     *
     * @param  non-empty-list<string>  $cells
     */
    private static function counts(array $cells): bool
    {
        $numbers = array_filter($cells, fn (string $cell): bool => preg_match('/^\d{1,9}$/', $cell) === 1);

        return count($cells) > 5 && count($numbers) === count($cells)
            && array_map(fn (string $cell): int => (int) $cell, $cells) === range((int) $cells[0], (int) $cells[0] + count($cells) - 1);
    }

    private static function because(Column $column): string
    {
        return match ($column) {
            Column::Url => 'It holds addresses.',
            Column::Id => 'It counts the rows.',
            Column::Date => 'It holds dates.',
            Column::Rating => 'It holds ratings.',
            Column::Text => 'It holds sentences.',
            Column::Title => 'It holds titles.',
            default => 'It holds names.',
        };
    }
}
