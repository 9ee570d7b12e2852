<?php

declare(strict_types=1);

namespace Tests\core\Text;

use Gnomic\Text\LanguageTag;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;
use PHPUnit\Framework\TestCase;

final class PiecesTest extends TestCase
{
    public function test_a_text_is_taken_apart_and_what_is_empty_is_left_out(): void
    {
        self::assertSame(['a', 'b', 'c'], Pieces::of("  a\tb \n c "));
        self::assertSame(['a', 'b'], Pieces::of('a,,b,', '/,/'));
        self::assertSame(["one\t", 'two', 'three'], Pieces::of("one\t\r\ntwo\rthree\n", Pieces::LINE_ENDS));
        self::assertSame([], Pieces::of(''));
        self::assertSame([], Pieces::of("\xFF a", '/\s+/u'), 'no UTF-8, and no error');
    }

    public function test_all_before_the_first_mark(): void
    {
        self::assertSame(['text/html', 'image', '', 'whole'], [Pieces::before('text/html; charset=x', ';'), Pieces::before('image/png', '/;'),
            Pieces::before(';x', ';'), Pieces::before('whole', ';')]);
    }

    public function test_what_is_empty_is_null_and_nought_is_not(): void
    {
        self::assertSame([null, '0', ' '], [Words::filled(''), Words::filled('0'), Words::filled(' ')]);
        self::assertSame([false, false, true], [Words::isFilled(null), Words::isFilled(''), Words::isFilled('0')]);
    }

    public function test_languages_are_named_in_english(): void
    {
        self::assertSame(['German', 'Portuguese (Brazil)', 'qqx'], array_map(LanguageTag::named(...), ['de', 'pt-BR', 'qqx']));
    }
}
