<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\MarkedWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Words that the owner wants to be seen. */
final class MarkedWordsTest extends TestCase
{
    /** @return iterable<array{list<string>, string, string}> */
    public static function texts(): iterable
    {
        yield [[], "Cold <b>.\nDark", "Cold &lt;b&gt;.<br>\nDark"];
        yield [['saturn'], 'Saturn, saturn’s rings', '<mark class="key">Saturn</mark>, <mark class="key">saturn</mark>’s rings'];
        yield [['star'], 'Stars and starlings', 'Stars and starlings'];
        yield [['big dome', 'dome'], 'The big dome', 'The <mark class="key">big dome</mark>'];
        yield [['star', 'star party'], 'A star party, a star', 'A <mark class="key">star party</mark>, a <mark class="key">star</mark>'];
        yield [['b', '<b>'], '<b> & b', '<mark class="key">&lt;b&gt;</mark> &amp; <mark class="key">b</mark>'];
        yield [['Größe'], 'die GRÖSSE, die größe', 'die GRÖSSE, die <mark class="key">größe</mark>'];
        yield [['a+b(', '.*'], 'a+b( and .* are words', '<mark class="key">a+b(</mark> and <mark class="key">.*</mark> are words'];
    }

    /** @param  list<string>  $marked */
    #[DataProvider('texts')]
    public function test_they_are_marked_and_nothing_becomes_markup(array $marked, string $text, string $html): void
    {
        self::assertSame($html, (new MarkedWords($marked))->html($text));
    }
}
