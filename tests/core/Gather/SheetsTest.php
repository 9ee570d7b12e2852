<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use DateTimeZone;
use Gnomic\Entry\Entry;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Tables\Column;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\Sheet;
use Gnomic\Gather\Tables\Table;
use Gnomic\Gather\Tables\TableColumns;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UConverter;

/** What is a table among the rows of a file, as people keep them: titles, remarks, totals, no names, several sheets. */
final class SheetsTest extends TestCase
{
    private static function reading(string $bytes): Reading
    {
        return EntryRows::reading(TableReader::read($bytes), new DateTimeZone('UTC'));
    }

    /** @return list<string> author/day/stars/words */
    private static function told(Reading $reading): array
    {
        return array_map(
            fn (Entry $entry): string => implode('/', [$entry->author->name, $entry->published?->format('md'), $entry->stars(), $entry->text]),
            $reading->entries,
        );
    }

    /** @param  list<string>  $told */
    #[DataProvider('files')]
    public function test_a_table_is_found_in_a_file(string $bytes, array $told, ?string $problem = null): void
    {
        $reading = self::reading($bytes);
        self::assertSame($told, self::told($reading));
        $problem === null
            ? self::assertSame([], $reading->problems)
            : self::assertStringContainsString($problem, implode("\n", $reading->problems));
    }

    /** @return iterable<string, array{0: string, 1: list<string>, 2?: string}> */
    public static function files(): iterable
    {
        $rows = ['Jo/0113/5/Great, really', 'Al/0114/4/Fine'];
        yield 'lines above' => [
            "Export of reviews\nMade on: 2026-01-20, by the office\n\nAuthor;Date;Rating;Text\nJo;2026-01-13;5;Great, really\nAl;2026-01-14;4;Fine\n",
            $rows,
            'row 1, 2: What stands above',
        ];
        yield 'a title with its blank cells' => ["Guest book;;;\n;;;\nGuest;When;Score;Comment\nJo;2026-01-13;5;\"Great, really\"\nAl;2026-01-14;4;Fine\n", $rows, 'row 1'];
        foreach (['Total;;4.5;', 'Average rating;;4.5;', 'TOTAL: 2;;;', 'Gesamt;2;;', 'Moyenne;;4,5;', "\nExported for the office;;;"] as $total) {
            yield "then \"$total\"" => ["author;date;rating;text\nJo;2026-01-13;5;Great, really\nAl;2026-01-14;4;Fine\n$total\n", $rows, 'as totals do'];
        }
        yield 'an author whose name is a total' => ["author,rating,text\nJo,5,Fine\nTotal Strangers,4,Very fine\n", ['Jo//5/Fine', 'Total Strangers//4/Very fine']];
        yield 'where people can be reached is no name and no address' => [
            "Timestamp,Email Address,Phone of the guest,Reviewer e-mail,How many stars?,Your name,What did you like?\n"
                ."2026-01-13,jo@quillmoor.example,555 0101,jo@quillmoor.example,5,Jo,\"Great, really\"\n"
                ."2026-01-14,al@quillmoor.example,555 0102,al@quillmoor.example,4,Al,Fine\n",
            $rows,
        ];
        yield 'nor shown as one' => [
            "author,rating,text\njo@quillmoor.example,5,Fine\nJo @ work,4,Fine too\n",
            ['//5/Fine', 'Jo @ work//4/Fine too'],
            'row 2: Its author is an e-mail address',
        ];
        yield 'sentences under a name that nobody knows' => [
            "author,rating,seen by,since 2026\nJo,5,Ann Hill,We saw the rings of Saturn\nAl,4,Ann Hill,The soup was warm and good\n",
            ['Jo//5/We saw the rings of Saturn', 'Al//4/The soup was warm and good'],
            'The column "since 2026" was taken by what is in it. It holds sentences.',
        ];
        yield 'no sentences under such names' => [
            "author,rating,ticket,changed\nJo,5,Adult evening tour with soup,2026-01-13\nAl,4,Adult evening tour with soup,2026-01-14\n",
            ['Jo/0113/5/', 'Al/0114/4/'],
            'The column "changed" was taken by what is in it. It holds dates.',
        ];
        yield 'in Russian' => ["Имя;Оценка;Дата;Отзыв\nАнна;5;12.01.2026;Очень красиво\n", ['Анна/0112/5/Очень красиво']];
        yield 'in Polish, days told by what they are' => [
            "Imię i nazwisko;Ocena;Kiedy;Treść\nEwa Lis;4,5;12.01.2026;Ładnie\n",
            ['Ewa Lis/0112/4.5/Ładnie'],
            'It holds dates',
        ];
        yield 'no names' => ["Jo Moss,2026-01-13,5,\"We had a wonderful evening, thanks\"\nAl Hill,2026-01-14,4,The telescope was huge and so was the queue\n",
            ['Jo Moss/0113/5/We had a wonderful evening, thanks', 'Al Hill/0114/4/The telescope was huge and so was the queue'], 'No row names the columns'];
        yield 'no names, but numbers' => [
            implode("\n", array_map(fn (int $number): string => "$number,Jo,".($number % 5 + 1).',Lovely place to be', range(1, 7))),
            array_map(fn (int $number): string => 'Jo//'.($number % 5 + 1).'/Lovely place to be', range(1, 7)),
            'No row names',
        ];
        yield 'ratings without words' => ["author,rating,text\nJo,5,\nAl,,Fine\n,4,\n", ['Jo//5/', 'Al///Fine', '//4/']];
        yield 'markup is text' => ["author,text\nJo,<b>Great</b> &amp; <script>a()</script>\n", ['Jo///<b>Great</b> &amp; <script>a()</script>']];
        $japanese = ['田中/0113/5/とても楽しい夜でした。', '鈴木/0114/4/望遠鏡がすごかったです'];
        $table = "名前,日付,評価,本文\n田中,2026-01-13,5,とても楽しい夜でした。\n鈴木,2026-01-14,4,望遠鏡がすごかったです\n";
        yield 'Shift-JIS' => [(string) mb_convert_encoding($table, 'SJIS-win', 'UTF-8'), $japanese];
        yield 'EUC-JP' => [(string) mb_convert_encoding($table, 'EUC-JP', 'UTF-8'), $japanese];
        yield 'GB18030' => [(string) mb_convert_encoding("作者,评分,内容\n王伟,5,非常好的夜晚\n李娜,4,望远镜很大\n", 'GB18030', 'UTF-8'), ['王伟//5/非常好的夜晚', '李娜//4/望远镜很大']];
        yield 'Windows-1251' => [(string) mb_convert_encoding("author,rating,text\nИван,5,Очень понравилось\nОльга,4,Хорошо\n", 'Windows-1251', 'UTF-8'),
            ['Иван//5/Очень понравилось', 'Ольга//4/Хорошо']];
        yield 'Windows-1252' => ["author,rating,text\nJos\xE9,5,Tr\xE8s bien\nJ\xFCrgen,4,Sch\xF6n \x80\n", ['José//5/Très bien', 'Jürgen//4/Schön €']];
    }

    public function test_sheets_that_name_the_same_columns_are_one_table(): void
    {
        /** @param  list<string>  ...$rows */
        $sheet = fn (string $name, array ...$rows): Sheet => Sheet::of($name, array_combine(range(1, count($rows)), array_map(fn (array $row): array => array_map(strval(...), array_values($row)), array_values($rows))));
        $table = Table::of('Workbook', [
            $sheet('Cover', ['Our reviews']),
            $sheet('2025', ['Reviews of 2025'], ['Author', 'Text'], ['Jo', 'Fine'], ['Total', '1']),
            $sheet('Notes', ['Do not delete'], ['This either']),
            $sheet('2026', ['Reviews of 2026'], ['author', 'TEXT'], ['Al', 'Good']),
        ], [], [3 => [3 => [1 => 'https://a.example/']]]);
        self::assertSame(['Author', 'Text'], $table->header);
        self::assertSame([3 => ['Jo', 'Fine'], 6 => ['Al', 'Good']], $table->rows);
        self::assertSame([6 => [1 => 'https://a.example/']], $table->links);
        self::assertStringContainsString('The sheet "2026" has the same columns; its rows are counted on from 4.', implode("\n", $table->problems));
    }

    public function test_cells_and_rows_have_bounds(): void
    {
        $long = Sheet::of('', [1 => ['text'], 2 => [str_repeat('é', 150_000)]]);
        self::assertSame(Table::LONGEST_CELL, strlen($long->rows[2][0]));
        $this->expectException(TableIsWrong::class);
        Sheet::of('', (function (): iterable {
            for ($row = 1; $row < 1_000; $row++) {
                yield $row => [str_repeat('x', 190_000)];
            }
        })());
    }

    public function test_the_encoding_of_a_table_is_told_by_the_language_that_it_makes(): void
    {
        foreach ([
            'windows-1250' => [
                'Nádherný večer pod hvězdami, určitě přijedeme znovu', 'Piękna wystawa, byłem zachwycony, wspaniały wieczór',
                'Nagyon szép este volt, köszönjük szépen, gyönyörű hegyek',
            ],
            'windows-1252' => [
                'Très bon accueil à l’entrée, une soirée magnifique où l’on a vu Saturne', 'Ein schöner Abend, herzlichen Dank für die Führung',
                'Una noche preciosa, volveremos el próximo año con los niños', 'A lovely evening at the café, £20 well spent',
            ],
        ] as $encoding => $texts) {
            foreach ($texts as $text) {
                $bytes = (string) @UConverter::transcode("author;rating;text\nJo;5;\"$text\"\n", $encoding, 'UTF-8');
                self::assertFalse(mb_check_encoding($bytes, 'UTF-8'), 'a case in point');
                self::assertSame(["Jo//5/$text"], self::told(self::reading($bytes)), $encoding);
            }
        }
    }

    public function test_the_names_of_columns_are_written_as_they_are_compared(): void
    {
        foreach (Column::cases() as $column) {
            self::assertSame(array_map(TableColumns::folded(...), $column->names()), $column->names(), $column->value);
            self::assertSame(array_unique($column->names()), $column->names(), $column->value);
        }
    }
}
