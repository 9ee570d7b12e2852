<?php

declare(strict_types=1);

namespace Tests\app;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The command line as people and scripts use it: in a process of its own. */
final class CommandsTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string, string} status, standard output, standard error
     */
    private function artisan(array $arguments, string $input = ''): array
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$arguments], dirname(__DIR__, 2), null, $input);
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    public function test_reading_a_feed_prints_its_entries(): void
    {
        [$status, $out, $err] = $this->artisan(['gnomic:read', __DIR__.'/../against/files/rss2.xml']);
        self::assertSame([0, ''], [$status, $err]);
        $lines = array_map(fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR), explode("\n", trim($out)));
        self::assertSame(['https://hill.example/1', 'two', 'three', 'four'], array_column($lines, 'id'));
        self::assertSame(
            [
                'id',
                'kind',
                'source',
                'subject',
                'url',
                'author',
                'rating',
                'title',
                'text',
                'html',
                'language',
                'published',
                'updated',
                'reply',
                'media',
                'tags',
                'likes',
                'comments',
                'verified',
                'translation',
                'said',
            ],
            array_keys($lines[0]),
        );
        [, $again] = $this->artisan(['gnomic:read', '-', '--as=json'], $out);
        self::assertSame($out, $again, 'what it prints it reads');
    }

    public function test_problems_stand_beside_what_could_be_read(): void
    {
        [$status, $out, $err] = $this->artisan(
            ['gnomic:read', '-', '--from=https://hill.example/'],
            "<rss version=\"2.0\"><channel>\n<item><title>A & b</title><link>/x</link><pubDate>soon</pubDate></item></channel></rss>",
        );
        self::assertSame(0, $status);
        self::assertStringContainsString('"url":"https://hill.example/x"', $out);
        self::assertStringContainsString('line 2: An ampersand', $err);
        self::assertStringContainsString('item 1: "soon" is no date', $err);
    }

    /** @return list<array<string, mixed>> */
    private static function lines(string $out): array
    {
        return array_map(fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR), explode("\n", trim($out)));
    }

    public function test_reading_a_page_and_its_problems_by_review(): void
    {
        $page = '<!doctype html><html lang="en"><script '
            .'type="application/ld+json">{"@type":"Product","name":"Wheel","review":[{"@type":"Review","author":"Jo","reviewBody":"Turns well and fits the pocket of my coat.","reviewRating":{"ratingValue":4}},{"@type":"Review","author":"Al","reviewBody":"Fine","datePublished":"someday","reviewRating":{"ratingValue":9}}]}</script>';
        foreach ([[], ['--as=page']] as $how) {
            [$status, $out, $err] = $this->artisan(['gnomic:read', '-', ...$how], $page);
            self::assertSame(0, $status);
            self::assertSame(
                [['Jo', 'Wheel', 'en', 4], ['Al', 'Wheel', null, null]],
                array_map(
                    fn (array $entry): array => [
                        $entry['author']['name'],
                        $entry['subject'],
                        $entry['language'],
                        $entry['rating']['stars'] ?? null,
                    ],
                    self::lines($out),
                ),
            );
            self::assertStringContainsString('review 2: "someday" is no date', $err);
            self::assertStringContainsString('review 2: 9 lies outside the scale', $err);
        }
    }

    public function test_reading_tables_as_they_come(): void
    {
        foreach (['reviews-libreoffice.ods', 'reviews-gnumeric.xlsx'] as $file) {
            [$status, $out, $err] = $this->artisan(['gnomic:read', __DIR__."/../against/files/$file"]);
            self::assertSame(
                [0, '', ['Ann', 'Bob', 'Çağla', 'End']],
                [$status, $err, array_column(array_column(self::lines($out), 'author'), 'name')],
            );
        }
        $table = "author;date;rating;text\nJo;03/04/2026;4,5;Good\nAl;05/06/2026;x;Bad\n";
        [, $out, $err] = $this->artisan(['gnomic:read', '-'], $table);
        self::assertSame('2026-04-03T00:00:00Z', self::lines($out)[0]['published'], 'day first where both fit');
        self::assertStringContainsString('Say which with --dates', $err);
        self::assertStringContainsString('row 3: "x" is no rating', $err);
        [, $out] = $this->artisan(['gnomic:read', '-', '--as=table', '--dates=month first'], $table);
        self::assertSame('2026-03-04T00:00:00Z', self::lines($out)[0]['published']);
    }

    public function test_language_is_found_where_nobody_named_it(): void
    {
        [, $out] = $this->artisan(
            ['gnomic:read', '-', '--as=json'],
            '{"id":"1","kind":"post","text":"Wir hatten einen wunderschönen Abend und die Führung war sehr freundlich."}'."\n"
                .'{"id":"2","kind":"post","text":"Great!"}'."\n".'{"id":"3","kind":"post","text":"Wir waren da und es war schön und klar.","language":"nds"}',
        );
        self::assertSame(['de', null, 'nds'], array_column(self::lines($out), 'language'));
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('wrong')]
    public function test_bad_input_is_one_clear_line(array $arguments, string $input, string $says): void
    {
        [$status, $out, $err] = $this->artisan($arguments, $input);
        self::assertNotSame(0, $status);
        self::assertSame('', $out);
        self::assertSame(1, substr_count(trim($err)."\n", "\n"));
        self::assertStringContainsString($says, $err);
    }

    /** @return iterable<string, array{list<string>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no file' => [['gnomic:read', 'nowhere.xml'], '', 'no file nowhere.xml'];
        yield 'a page' => [['gnomic:read', '-'], '<!doctype html><title>x</title>', 'a web page'];
        yield 'a zip' => [['gnomic:read', '-'], "PK\x03\x04", 'a zip archive'];
        yield 'a page without reviews' => [
            ['gnomic:read', '-', '--as=page'],
            '<!doctype html><title>x</title><p>Hello',
            'no reviews marked up',
        ];
        yield 'a table that tells nothing' => [['gnomic:read', '-', '--as=table'], "https://a.example/,2026-01-01\nhttps://b.example/,2026-01-02\n", 'No row names the columns'];
        yield 'a locked workbook' => [
            ['gnomic:read', '-'],
            "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600).'E'."\0".implode("\0", str_split('ncryptedPackage'))."\0",
            'password',
        ];
        yield 'an order of dates that is none' => [['gnomic:read', '-', '--as=table', '--dates=backwards'], "text\nx\n", '--dates is'];
        yield 'another way of reading' => [['gnomic:read', '-', '--as=owl'], '', '--as is auto, feed, page, table or json'];
        yield 'no entries' => [['gnomic:read', '-', '--as=json'], "x\n", 'line 1'];
        yield 'a private address' => [['gnomic:read', 'http://127.0.0.1:9/'], '', 'private network'];
        yield 'a brief that is no JSON' => [['gnomic:sift', '-', '--entries=x'], '{', 'is not JSON'];
        yield 'a brief that breaks its schema' => [
            ['gnomic:sift', '-', '--entries=x'],
            '{"version":1,"sift":{"limit":0}}',
            '/sift/limit must be between 1 and 100',
        ];
        yield 'a command without its argument' => [['gnomic:sift'], '', 'missing: "brief"'];
        yield 'an option that is none' => [['gnomic:read', '-', '--owl'], '', '"--owl" option does not exist'];
        yield 'a brief with a fault in its third line' => [
            ['gnomic:sift', '-', '--entries=x'],
            "{\"version\": 2,\n \"sift\": {\n  \"limit\": 3,}}",
            'line 3, column 14: a comma stands before the end',
        ];
        yield 'a brief that is null' => [['gnomic:sift', '-', '--entries=x'], 'null', '/ must be an object, but is null'];
        yield 'a pin twice' => [['gnomic:sift', '-', '--entries=x'], '{"version":2,"sift":{"pins":["a","b:1","b:1"]}}', 'repeats "b:1"'];
        yield 'a line that is null' => [['gnomic:read', '-', '--as=json'], 'null', '/ must be an object, but is null'];
        yield 'a width that is none' => [
            ['gnomic:render', '-', '--entries=tests/app/entries.jsonl', '--width=wide'],
            '{"version":1}',
            '--width',
        ];
    }

    public function test_a_byte_order_mark_is_passed_over(): void
    {
        $entries = tempnam(sys_get_temp_dir(), 'entries');
        file_put_contents($entries, "\xEF\xBB\xBF".file_get_contents(__DIR__.'/entries.jsonl'));
        [$status, $out, $err] = $this->artisan(['gnomic:sift', '-', "--entries=$entries"], "\xEF\xBB\xBF{\"version\":1}");
        unlink($entries);
        self::assertSame([0, 3, ''], [$status, substr_count($out, "\n"), $err]);
    }

    public function test_many_problems_are_told_by_the_first_and_their_number(): void
    {
        $long = str_repeat('x', 5000);
        [$status, , $err] = $this->artisan(
            ['gnomic:read', '-', '--as=json'],
            "{\"id\":\"a\",\"kind\":\"post\",\"url\":\"javascript:a()\"}\n".str_repeat("{\"id\":\"a\",\"kind\":\"$long\"}\n", 4000),
        );
        $lines = explode("\n", trim($err));
        self::assertSame([0, 21], [$status, count($lines)]);
        self::assertStringContainsString('line 1: /url is no address of the web and was left out: "javascript:a()"', $lines[0]);
        self::assertStringContainsString('3,981 more like these, 4,001 in all', $lines[20]);
        self::assertLessThan(250, max(array_map(strlen(...), $lines)));
    }

    public function test_entries_of_two_sources_with_one_identifier_are_told_apart(): void
    {
        $entries = tempnam(sys_get_temp_dir(), 'entries');
        foreach (['dome' => 5, 'lane' => 3, 'rook' => 4] as $source => $rating) {
            $line = ['id' => '1', 'source' => $source, 'kind' => 'review', 'text' => "Of the $source", 'rating' => ['value' => $rating]];
            file_put_contents($entries, json_encode($line)."\n", FILE_APPEND);
        }
        $sources = function (array $sift, string ...$how) use ($entries): array {
            [, $out] = $this->artisan(
                ['gnomic:sift', '-', "--entries=$entries", ...array_values($how)],
                (string) json_encode(['version' => 2] + ($sift === [] ? [] : ['sift' => $sift])),
            );

            return $out === '' ? [] : array_column(self::lines($out), 'source');
        };
        self::assertSame(['dome', 'lane', 'rook'], $sources([]), 'by identifier, then by source');
        self::assertSame(['dome'], $sources(['order' => 'highest', 'limit' => 1]));
        self::assertSame(['rook', 'dome', 'lane'], $sources(['pins' => ['rook:1']]));
        self::assertSame(['dome', 'rook'], $sources(['hidden' => ['lane:1']]));
        self::assertSame([], $sources(['hidden' => ['1']]));
        self::assertSame(['dome', 'rook', 'lane'], $sources(['hidden' => ['lane:1']], '--why'));
        unlink($entries);
    }

    public function test_sifting_and_its_reasons(): void
    {
        $brief = '{"version":1,"sift":{"stars":{"from":4},"limit":1}}';
        [, $out] = $this->artisan(['gnomic:sift', '-', '--entries='.__DIR__.'/entries.jsonl'], $brief);
        self::assertSame(['new'], array_map(fn (string $line) => json_decode($line, true)['id'], explode("\n", trim($out))));
        [, $why] = $this->artisan(['gnomic:sift', '-', '--entries='.__DIR__.'/entries.jsonl', '--why'], $brief);
        $lines = array_map(fn (string $line): array => json_decode($line, true), explode("\n", trim($why)));
        self::assertSame([3, 2, 1], [$lines[0]['kept'], $lines[5]['kept'], $lines[6]['kept']]);
        self::assertSame('2 stars; the widget asks for four stars and up.', $lines[9]['reason']);
    }

    public function test_rendering_prints_or_writes_an_edition(): void
    {
        [$status, $out] = $this->artisan(['gnomic:render', '-', '--entries='.__DIR__.'/entries.jsonl', '--width=400'], '{"version":1}');
        self::assertSame(0, $status);
        self::assertStringContainsString('shadowrootmode="open"', $out);
        self::assertStringContainsString('width:400px', $out);
        $folder = sys_get_temp_dir().'/gnomic-render-'.bin2hex(random_bytes(4));
        [, $path] = $this->artisan(['gnomic:render', '-', '--entries='.__DIR__.'/entries.jsonl', "--out=$folder"], '{"version":1}');
        self::assertFileExists(trim($path).'/widget.html');
        self::assertFileExists("$folder/preview/current/feed.json");
        exec('rm -rf '.escapeshellarg($folder));
    }

    public function test_the_pages_of_everything_are_as_published(): void
    {
        $entries = tempnam(sys_get_temp_dir(), 'gnomic-entries-') ?: self::fail();
        file_put_contents($entries, implode("\n", array_map(
            fn (int $n): string => json_encode(
                ['id' => "e$n", 'kind' => 'review', 'rating' => ['value' => 3 + $n % 3], 'text' => "Visit $n."],
                JSON_THROW_ON_ERROR,
            ),
            range(1, 101),
        )));
        $folder = sys_get_temp_dir().'/gnomic-render-'.bin2hex(random_bytes(4));
        $this->artisan(
            ['gnomic:render', '-', "--entries=$entries", "--out=$folder"],
            '{"version":1,"sift":{"stars":{"from":4}}}',
        );
        $page = fn (string $name): string => (string) file_get_contents("$folder/preview/current/$name");
        self::assertSame(1, substr_count($page('all.html'), '<article class="card"'), 'the newest, beyond a hundred');
        self::assertSame(100, substr_count($page('all.1.html'), '<article class="card"'));
        self::assertStringContainsString('part="head"', $page('all.html'));
        self::assertStringNotContainsString('part="head"', $page('all.1.html'), 'told once, on the newest page');
        exec('rm -rf '.escapeshellarg($folder));
        unlink($entries);
    }
}
