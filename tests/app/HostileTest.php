<?php

declare(strict_types=1);

namespace Tests\app;

use App\Fetching\HttpResponse;
use App\Fetching\Reading\ConfinedReading;
use App\Pictures\PictureFiles;
use App\Pictures\PictureIsWrong;
use Gnomic\Gather\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Documents that are made to keep their reader busy, or to fill its memory: each is read within the bounds of a round, or told. */
final class HostileTest extends TestCase
{
    /** Of memory, in megabytes: half of what a round may take. */
    private const MEMORY = 192;

    private static function response(string $body, string $type): HttpResponse
    {
        return new HttpResponse(200, $body, 'https://hostile.example/x', ['content-type' => $type]);
    }

    #[DataProvider('pages')]
    public function test_a_page_is_read_within_bounds(string $body, int $entries): void
    {
        $reading = new ConfinedReading(base_path('bin/lib/read-confined.php'), (float) config('gnomic.reading.seconds'), self::MEMORY);
        self::assertCount($entries, $reading->page(self::response($body, 'text/html; charset=utf-8'))->reading->entries);
    }

    /** @return iterable<string, array{string, int}> */
    public static function pages(): iterable
    {
        $references = fn (int $count): string => (string) json_encode(['@graph' => array_map(fn (int $of): array => [
            '@id' => "#$of",
            '@type' => 'Product',
            'name' => "n$of",
            'isRelatedTo' => array_map(fn (int $to): array => ['@id' => "#$to"], array_values(array_diff(range(1, $count), [$of]))),
        ], range(1, $count))]);
        $script = fn (string $json): string => "<!doctype html><script type=\"application/ld+json\">$json</script>";
        yield 'references that refer to each other' => [$script($references(14)), 0];
        yield 'many of them' => [$script($references(120)), 0];
        yield 'things called by each other' => [$script('{"@graph":[{"@id":"#a","@type":"Review","name":{"@id":"#b"},"reviewBody":"Words"},'
            .'{"@id":"#b","@type":"Thing","name":{"@id":"#a"}}]}'), 1];
        yield 'a list of 150,000 things' => [$script('['.implode(',', array_fill(0, 100_000, '{"@type":"Thing"}')).']'), 0];
        $items = implode('', array_map(
            fn (int $of): string => "<div id=a$of itemprop=x itemscope itemref=\"".implode(' ', array_map(fn (int $to): string => "a$to", range(0, 11))).'"></div>',
            range(0, 11),
        ));
        yield 'itemref in circles' => ["<!doctype html><div itemscope itemref=\"a0 a1 a2 a3\"></div>$items", 0];
        foreach (['<div>', '<b><i>', '<ul><li>', '<table><tr><td>', '<span itemprop=reviewBody>', '<div class="h-entry"><p class="e-content">'] as $opens) {
            $count = str_contains($opens, 'h-entry') ? 1 : (str_contains($opens, 'itemprop') ? 1 : 0);
            $body = $count === 1 && ! str_contains($opens, 'h-entry') ? '<div itemscope itemtype="https://schema.org/Review">' : '';
            yield "20,000 times $opens" => ['<!doctype html><body>'.$body.str_repeat($opens, 20_000).'x', $count];
        }
        yield 'a megabyte of ampersands' => ['<!doctype html><p>'.str_repeat('&', 1_000_000), 0];
        yield 'a megabyte of open brackets' => ['<!doctype html><p>'.str_repeat('<', 1_000_000), 0];
        yield 'a tag with 100,000 attributes' => ['<!doctype html><div '.implode(' ', array_map(fn (int $of): string => "a$of=1", range(1, 100_000))).'>x', 0];
        yield '150,000 elements' => ['<!doctype html>'.str_repeat('<p class=x>a</p>', 150_000), 0];
    }

    #[DataProvider('feeds')]
    public function test_a_feed_is_read_within_bounds(string $body, int $entries): void
    {
        $reading = new ConfinedReading(base_path('bin/lib/read-confined.php'), (float) config('gnomic.reading.seconds'), self::MEMORY);
        self::assertCount($entries, $reading->feed(self::response($body, 'application/rss+xml'))->entries);
    }

    /** @return iterable<string, array{string, int}> */
    public static function feeds(): iterable
    {
        $rss = fn (string $items): string => "<rss version=\"2.0\"><channel><title>x</title>$items</channel></rss>";
        yield '150,000 items' => [$rss(str_repeat('<item><title>a</title></item>', 150_000)), Reading::MOST];
        yield '150,000 items that are not closed' => [$rss(str_repeat('<item>', 150_000)), Reading::MOST];
        yield 'items of JSON' => ['{"version":"https://jsonfeed.org/version/1.1","items":['.implode(',', array_fill(0, 60_000, '{"id":"1","content_text":"a"}')).']}',
            Reading::MOST];
        yield 'a megabyte of ampersands' => [$rss('<item><title>'.str_repeat('&', 1_000_000).'</title></item>'), 1];
        $attributes = implode(' ', array_map(fn (int $of): string => "a$of=\"".str_repeat('x', 1_000).'"', range(1, 1_600)));
        yield 'a root tag of 1.6 MB' => ["<rss version=\"2.0\" $attributes><channel>".str_repeat('<item><title>a & b</title><description>c</item>', 300)
            .'</channel></rss>', 1];
        yield 'nested elements' => [$rss('<item><title>'.str_repeat('<b>', 20_000).'</title></item>'), 1];
        yield 'markup in every item' => [$rss(str_repeat('<item><description>'.htmlspecialchars(str_repeat('<b>', 5_000)).'</description></item>', 60)), 60];
        $entities = implode('', array_map(fn (int $of): string => "<!ENTITY b$of \"".str_repeat('&b'.($of - 1).';', 50).'">', range(1, 8)));
        yield 'entities in a second document type' => ["<!DOCTYPE x><!DOCTYPE a [<!ENTITY b0 \"lol\">$entities]>".$rss('<item><title t="&b8;">&b8;</title></item>'), 1];
    }

    public function test_a_small_picture_of_many_pixels_is_left_alone(): void
    {
        $picture = imagecreate(6_250, 6_250);
        imagecolorallocate($picture, 0, 0, 0);
        ob_start();
        imagepng($picture, null, 9);
        $bytes = (string) ob_get_clean();
        unset($picture);
        self::assertLessThan(100_000, strlen($bytes));
        $this->expectException(PictureIsWrong::class);
        app(PictureFiles::class)->keep($bytes);
    }
}
