<?php

declare(strict_types=1);

namespace Tests\app;

use Tests\TestCase;

/** The stand-ins behave as such services do: pages, keys, errors, honest validators. */
final class StandinsTest extends TestCase
{
    use Servers;

    /**
     * @param  list<string>  $headers
     * @return array{int, string, array<string, string>}
     */
    private function ask(string $path, array $headers = []): array
    {
        $context = stream_context_create(['http' => ['header' => $headers, 'ignore_errors' => true]]);
        $body = (string) file_get_contents($this->standins.$path, false, $context);
        /** @var list<string> $lines */
        $lines = $http_response_header;
        $found = [];
        foreach (array_slice($lines, 1) as $line) {
            [$name, $value] = [...explode(': ', $line, 2), ''];
            $found[strtolower($name)] = $value;
        }

        return [(int) explode(' ', $lines[0])[1], $body, $found];
    }

    public function test_wayleaf_gives_pages_newest_first_to_those_with_a_key(): void
    {
        $this->startStandins();
        $key = ['Wayleaf-Key: wl-demo-key-7Q2M'];
        self::assertSame(401, $this->ask('/wayleaf/v1/places?query=dome')[0]);
        self::assertSame(403, $this->ask('/wayleaf/v1/places?query=dome', ['Wayleaf-Key: x'])[0]);
        self::assertSame(400, $this->ask('/wayleaf/v1/places?query=do', $key)[0]);
        self::assertSame(404, $this->ask('/wayleaf/v1/places/none/reviews', $key)[0]);
        self::assertSame(400, $this->ask('/wayleaf/v1/places/wl-dome/reviews?cursor=zz', $key)[0]);
        self::assertSame(404, $this->ask('/elsewhere')[0]);

        $seen = [];
        $cursor = '';
        for ($pages = 0; $pages < 30; $pages++) {
            [$status, $body] = $this->ask("/wayleaf/v1/places/wl-dome/reviews?cursor=$cursor", $key);
            self::assertSame(200, $status);
            $page = json_decode($body, true);
            array_push($seen, ...$page['reviews']);
            if ($page['next'] === null) {
                break;
            }
            self::assertCount(5, $page['reviews']);
            $cursor = $page['next'];
        }
        self::assertCount(98, array_unique(array_column($seen, 'review_id')));
        $dates = array_column($seen, 'created');
        $sorted = $dates;
        rsort($sorted);
        self::assertSame($sorted, $dates);
    }

    public function test_validators_are_honest(): void
    {
        $this->startStandins();
        foreach (['rss', 'atom', 'json'] as $format) {
            [$status, , $headers] = $this->ask("/rookcall/quillmoor/feed.$format");
            self::assertSame(200, $status);
            self::assertSame(304, $this->ask("/rookcall/quillmoor/feed.$format", ["If-None-Match: $headers[etag]"])[0]);
            self::assertSame(304, $this->ask("/rookcall/quillmoor/feed.$format", ['If-Modified-Since: '.$headers['last-modified']])[0]);
            self::assertSame(200, $this->ask("/rookcall/quillmoor/feed.$format", ['If-None-Match: "other"'])[0]);
        }
        [, , $before] = $this->ask('/rookcall/quillmoor/feed.atom');
        $this->control(['do' => 'post', 'name' => 'Aurora', 'comment' => 'Now']);
        self::assertSame(200, $this->ask('/rookcall/quillmoor/feed.atom', ["If-None-Match: $before[etag]"])[0]);
    }

    public function test_the_data_are_as_rich_as_life(): void
    {
        $this->startStandins();
        $state = json_decode((string) file_get_contents(getenv('GNOMIC_DATA').'/standins/wayleaf.json'), true);
        $reviews = array_merge(...array_column($state['places'], 'reviews'));
        $posts = json_decode((string) file_get_contents(getenv('GNOMIC_DATA').'/standins/rookcall.json'), true)['posts'];
        self::assertGreaterThanOrEqual(180, count($reviews) + count($posts));
        self::assertGreaterThanOrEqual(5, count(array_unique(array_filter(array_column($reviews, 'language')))));
        $words = implode(' ', array_column($reviews, 'comment'));
        foreach (['\p{Greek}', '\p{Hiragana}', '\p{Arabic}', '\x{1F30C}'] as $script) {
            self::assertMatchesRegularExpression("/$script/u", $words);
        }
        self::assertNotEmpty(array_filter($reviews, fn (array $review): bool => $review['comment'] === ''));
        self::assertNotEmpty(array_filter($reviews, fn (array $review): bool => mb_strlen($review['comment']) > 1200));
        self::assertNotEmpty(array_filter($reviews, fn (array $review): bool => $review['owner_reply'] !== null));
        self::assertNotEmpty(array_filter($reviews, fn (array $review): bool => $review['edited'] !== null));
    }
}
