<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Html;
use Gnomic\Text\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HtmlTest extends TestCase
{
    #[DataProvider('pages')]
    public function test_text_reads_as_on_a_page(string $html, string $text): void
    {
        self::assertSame($text, Html::toText($html));
    }

    /** @return iterable<string, array{string, string}> */
    public static function pages(): iterable
    {
        yield 'paragraphs' => ['<p>One</p><p>Two</p>', "One\n\nTwo"];
        yield 'breaks' => ['One<br>Two<br/>Three', "One\nTwo\nThree"];
        yield 'blanks' => ["<p>  One \n  two </p>", 'One two'];
        yield 'lists' => ['<ul><li>One</li><li>Two</li></ul>after', "One\nTwo\n\nafter"];
        yield 'scripts' => ['a<script>b</script><style>c</style>d', 'ad'];
        yield 'entities' => ['AT&amp;T &eacute; &#x1F52D;', 'AT&T é 🔭'];
        yield 'plain text with a sign' => ['1 &lt; 2', '1 < 2'];
        yield 'line breaks of plain text' => ["One\nTwo", "One\nTwo"];
        yield 'preformatted' => ["<pre>a\n  b</pre>", "a\nb"];
        yield 'unclosed' => ['<b>One <i>two', 'One two'];
    }

    #[DataProvider('attacks')]
    public function test_nothing_that_runs_is_left(string $html): void
    {
        $safe = Html::sanitised($html, 'https://hill.example/');
        self::assertDoesNotMatchRegularExpression(
            '/<(script|style|iframe|object|embed|svg|math|form|input|img|video|link|meta|base|template)|\son\w+\s*=|javascript:|vbscript:|data:|style\s*=/i',
            $safe,
        );
    }

    /** @return iterable<array{string}> Common practice: the shapes that lists of attack vectors collect. */
    public static function attacks(): iterable
    {
        foreach (['<script>alert(1)</script>', '<img src=x onerror=alert(1)>', '<svg/onload=alert(1)>', '<a href="javascript:alert(1)">x</a>', '<a href=" java&#x09;script:alert(1)">x</a>',
            '<a href="JaVaScRiPt:alert(1)">x</a>',
            '<a href="data:text/html,<script>alert(1)</script>">x</a>',
            '<iframe srcdoc="<script>alert(1)</script>"></iframe>',
            '<math><mtext><table><mglyph><style><img src=x onerror=alert(1)>',
            '<p style="background:url(javascript:alert(1))">x</p>',
            '<form action="javascript:alert(1)"><input type=submit>',
            '<svg><style><img src="</style><img src=x onerror=alert(1)>">',
            '<noscript><p title="</noscript><img src=x onerror=alert(1)>">',
            '<template><img src=x onerror=alert(1)></template>',
            '<b onmouseover=alert(1)>x</b>',
            '<a href="vbscript:x">x</a>',
            '<base href="javascript:/"><a href="x">y</a>',
            '<<script>alert(1)//<</script>',
            '<details open ontoggle=alert(1)>'] as $attack) {
            yield [$attack];
        }
    }

    public function test_links_become_whole_and_harmless(): void
    {
        self::assertSame(
            '<a href="https://hill.example/map" rel="nofollow ugc noopener noreferrer">x</a>',
            Html::sanitised('<a href="/map" target=_top class=c>x</a>', 'https://hill.example/a/b'),
        );
    }

    public function test_invisible_characters_go_and_joiners_stay(): void
    {
        self::assertSame("a b\n\nc", Words::tidy("\u{FEFF}a\u{200B} \t b \r\n\r\n\r\n\n c\u{202E}"));
        self::assertSame("\u{1F468}\u{200D}\u{1F680}", Words::tidy("\u{1F468}\u{200D}\u{1F680}"));
        self::assertSame('é', Words::tidy("e\u{0301}"));
        self::assertNull(Words::line(" \n "));
    }
}
