<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Html;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingException;
use Gnomic\Entry\RatingText;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Feed\Identity;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/** Turns the rows of a table of past entries into entries, each for itself: a wrong row keeps no other out. */
final class EntryRows
{
    private float $best;

    /** @var array<string, int> */
    private array $seen = [];

    /**
     * @param  DateOrder  $order  of dates in figures
     * @param  DateTimeZone  $zone  of dates that name none
     */
    public function __construct(
        private readonly Table $table,
        private readonly TableColumns $columns,
        private readonly DateOrder $order,
        private readonly DateTimeZone $zone,
    ) {
        $this->best = self::bestOf($table, $columns);
    }

    /**
     * The whole table, without anybody to ask: what both orders fit is read day first, and said.
     *
     * @throws TableIsWrong
     */
    public static function reading(Table $table, DateTimeZone $zone, ?DateOrder $order = null): Reading
    {
        $columns = TableColumns::found($table);
        if (! $columns->has(Column::Text) && ! $columns->has(Column::Rating) && ! $columns->has(Column::Title)) {
            throw $table->isNamed
                ? TableIsWrong::nothingKnown()
                : TableIsWrong::noHeader(array_values(array_filter(array_values($table->rows)[0] ?? [], Words::isFilled(...)))[0] ?? '');
        }
        $problems = $table->problems;
        foreach ($table->isNamed ? $columns->guessed : [] as $index) {
            $problems[] = new Problem(
                '',
                'The column '.Echoed::quoted($table->header[$index])." was taken by what is in it. {$columns->reasons[$index]}",
            );
        }
        $evident = $order ?? DateOrder::evident(self::dates($table, $columns));
        if ($evident === null) {
            $problems[] = new Problem(
                '',
                'Its dates in figures fit both orders, or contradict each other; they were read day first. Say which with --dates.',
            );
        }
        $entries = [];
        foreach ((new self($table, $columns, $evident ?? DateOrder::DayFirst, $zone))->all() as $row) {
            if ($row->entry !== null) {
                $entries[] = $row->entry;
            }
            foreach ([...$row->wrong, ...$row->notes] as $what) {
                $problems[] = new Problem("row $row->number", $what);
            }
        }

        return new Reading($table->format, $entries, $problems);
    }

    /** @return list<string> */
    public static function dates(Table $table, TableColumns $columns): array
    {
        $dates = [];
        foreach ([Column::Date, Column::ReplyDate] as $column) {
            if ($columns->has($column)) {
                array_push($dates, ...$table->column($columns->places[$column->value]));
            }
        }

        return $dates;
    }

    /** @return iterable<EntryRow> */
    public function all(): iterable
    {
        foreach ($this->table->rows as $number => $cells) {
            yield $this->row($number, $cells);
        }
    }

    /** @param  list<string>  $cells */
    private function row(int $number, array $cells): EntryRow
    {
        $wrong = [];
        $cell = fn (Column $column): string => $this->columns->cell($column, $cells);
        $text = Words::tidy($cell(Column::Text));
        $title = Words::line($cell(Column::Title));
        $notes = [];
        $rating = $this->rating($cell, $notes);
        $published = $this->date($cell(Column::Date), $wrong);
        $replied = $this->date($cell(Column::ReplyDate), $wrong);
        $isRated = $rating !== null || $notes !== [];
        $url = $this->address(
            $cell(Column::Url),
            $this->table->links[$number][$this->columns->places[Column::Url->value] ?? -1] ?? null,
            $notes,
        );
        $picture = Address::webOrNull($cell(Column::Picture), null);
        if ($text === '' && $title === null && $rating === null && $wrong === []) {
            $note = array_shift($notes);
            $wrong[] = $note === null ? 'It has no words, title or rating. Fill in one of them, or leave the row out.'
                : "$note It has no words and no title either.";
        }
        $kind = $this->kind($cell(Column::Kind), $isRated, $cell(Column::SaidAt));
        if ($wrong !== []) {
            // Whoever mends the row wants to know all that is to be mended.
            return new EntryRow($number, null, [...$wrong, ...$notes]);
        }
        $author = $this->author($cell(Column::Author), $notes);
        $saidAt = Words::line($cell(Column::SaidAt));
        $own = Words::line($cell(Column::Id));
        $id = Identity::unique(
            Identity::of($own, $url, implode("\n", [$author, $saidAt, $title]), EntryJson::date($published), $text),
            $this->seen,
        );
        $reply = Words::tidy($cell(Column::Reply));
        $labels = array_filter(
            array_map(
                fn (string $label): ?string => Words::line(ltrim($label, '# ')),
                Pieces::of($cell(Column::Labels), '/[,;|\n]+/'),
            ),
            fn (?string $label): bool => $label !== null,
        );

        return new EntryRow($number, new Entry(
            id: $id,
            kind: $kind,
            source: $saidAt,
            subject: Words::line($cell(Column::Subject)),
            url: $url,
            author: new Author($author, Words::line($cell(Column::Role)), Words::line($cell(Column::Place)), image: $picture),
            rating: $rating,
            title: $title,
            text: $text,
            html: $text === '' ? null : Html::fromText($text),
            language: LanguageTag::orNull($cell(Column::Language)),
            published: $published,
            reply: $reply === '' ? null : new Reply($reply, $replied),
            media: [],
            original: $cell(Column::Text) === $text ? null : $cell(Column::Text),
            tags: array_values(array_unique($labels)),
        ), [], $notes);
    }

    /**
     * One that cannot be read is told, and what was said comes in without it.
     *
     * @param  callable(Column): string  $cell
     * @param  list<string>  $notes
     */
    private function rating(callable $cell, array &$notes): ?Rating
    {
        $written = $cell(Column::Rating);
        if ($written === '' || $written === '-' || strtolower($written) === 'n/a') {
            return null;
        }
        $read = RatingText::read($written);
        if ($read === null) {
            $notes[] = Echoed::quoted($written).' is no rating and was left out. Write it as 4, 4.5, 9.2/10, 80% or ★★★★☆.';

            return null;
        }
        try {
            $best = RatingText::read($cell(Column::Best))->value ?? $this->best;
            $worst = RatingText::read($cell(Column::Worst))->value ?? RatingText::worstOf($best, $read->value);

            return $read->on(Scale::between($worst, $best));
        } catch (RatingException $outside) {
            $notes[] = "{$outside->getMessage()} It was left out.";

            return null;
        }
    }

    /**
     * What is shown as a name: an address of e-mail is none, and nobody's to publish.
     *
     * @param  list<string>  $notes
     */
    private function author(string $written, array &$notes): ?string
    {
        if (preg_match('/^[^@\s]+@[^@\s]+\.[^@\s]+$/', trim($written)) === 1) {
            $notes[] = 'Its author is an e-mail address, which is not shown as a name; it was left out.';

            return null;
        }

        return Words::line($written);
    }

    /** @param  list<string>  $wrong */
    private function date(string $written, array &$wrong): ?DateTimeImmutable
    {
        if ($written === '') {
            return null;
        }
        $date = DateReader::read($this->order->iso($written), $this->zone);
        if ($date === null) {
            $wrong[] = Echoed::quoted($written).' is no date'.(
                DateReader::read(
                    ($this->order === DateOrder::DayFirst ? DateOrder::MonthFirst : DateOrder::DayFirst)->iso($written),
                ) === null
                    ? ''
                    : " read {$this->order->value}"
            ).'. Write it as 2026-11-25.';
        }

        return $date;
    }

    /**
     * @param  string|null  $link  where the cell leads to, whatever it says
     * @param  list<string>  $notes
     */
    private function address(string $written, ?string $link, array &$notes): ?string
    {
        if ($written === '') {
            return null;
        }
        $url = Address::webOrNull($link, null) ?? Address::webOrNull(
            preg_match('~^www\.~i', $written) === 1 ? "https://$written" : $written,
            null,
        );
        if ($url === null) {
            $notes[] = Echoed::quoted($written).' is no web address; it was left out.';
        }

        return $url;
    }

    /**
     * What was rated, or said elsewhere, is a review; what was said to the owner is a testimonial.
     */
    private function kind(string $written, bool $isRated, string $saidAt): Kind
    {
        $usual = $isRated || $saidAt !== '' ? Kind::Review : Kind::Testimonial;

        return $written === '' ? $usual : Kind::tryFrom(rtrim(mb_strtolower($written), 's')) ?? $usual;
    }

    /** The scale of bare numbers: by the column's name ("rating (of 10)"), else the smallest usual one that holds them all. */
    private static function bestOf(Table $table, TableColumns $columns): float
    {
        $index = $columns->places[Column::Rating->value] ?? null;
        if ($index === null) {
            return 5.0;
        }
        if (preg_match('~(?:of|/|[-–]|von|sur|de)\s*(5|6|7|10|20|100)\b~u', mb_strtolower($table->header[$index]), $named) === 1) {
            return (float) $named[1];
        }
        $highest = 0.0;
        foreach ($table->column($index) as $cell) {
            $read = RatingText::read($cell);
            $highest = $read !== null && $read->best === null ? max($highest, $read->value) : $highest;
        }

        return match (true) {
            $highest <= 5.0 => 5.0,
            $highest <= 10.0 => 10.0,
            default => 100.0,
        };
    }
}
