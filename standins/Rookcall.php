<?php

declare(strict_types=1);

namespace Standins;

/** Short posts of an account, as RSS 2.0, Atom 1.0 and JSON Feed 1.1. */
final readonly class Rookcall
{
    private const PAGE = 60;

    public function __construct(private State $state, private string $host)
    {
    }

    public function answer(string $path): Answer
    {
        $state = $this->state->read();
        /** @var list<array<string, mixed>> $posts */
        $posts = array_slice($state['posts'], 0, self::PAGE);
        $changed = max(array_map(fn (array $post): int => (int) strtotime($post['edited'] ?? $post['published']), $posts) ?: [0]);
        $etag = hash('xxh128', serialize($posts).$path);

        return match ($path) {
            '/quillmoor' => new Answer(200, 'text/html; charset=utf-8', $this->page($state['title'])),
            '/quillmoor/feed.rss' => (new Answer(
                200,
                'application/rss+xml; charset=utf-8',
                $this->rss($state['title'], $posts),
            ))->validated($etag, $changed),
            '/quillmoor/feed.atom' => (new Answer(
                200,
                'application/atom+xml; charset=utf-8',
                $this->atom($state['title'], $posts),
            ))->validated($etag, $changed),
            '/quillmoor/feed.json' => (new Answer(
                200,
                'application/feed+json; charset=utf-8',
                $this->json($state['title'], $posts),
            ))->validated($etag, $changed),
            default => new Answer(404, 'text/html; charset=utf-8', '<!doctype html><title>Rookcall</title><p>There is no such account.'),
        };
    }

    private function page(string $title): string
    {
        $links = '';
        foreach (['rss' => 'rss+xml', 'atom' => 'atom+xml', 'json' => 'feed+json'] as $ending => $type) {
            $links .= "<link rel=\"alternate\" type=\"application/$type\" title=\"Posts ($ending)\" "
                ."href=\"/rookcall/quillmoor/feed.$ending\">";
        }

        return '<!doctype html><html lang="en"><title>'.self::x($title)."</title>$links<h1>".self::x($title)
            .'</h1><p>Short posts from the hill.';
    }

    /** @param  list<array<string, mixed>>  $posts */
    private function rss(string $title, array $posts): string
    {
        $items = '';
        foreach ($posts as $post) {
            $items .= '<item><title>'.self::x($post['title']).'</title><link>'.$this->link($post).'</link><guid isPermaLink="false">'
                .$post['id'].'</guid>'
                .'<pubDate>'.gmdate(
                    DATE_RSS,
                    (int) strtotime($post['published']),
                ).'</pubDate><dc:creator>Quillmoor Observatory</dc:creator>'
                .'<dc:language>'.$post['language'].'</dc:language><description>'.self::x(self::html($post)).'</description>'
                .(
                    $post['picture'] === null
                        ? ''
                        : '<media:content url="'.$this->picture($post).'" medium="image" width="640" height="400"/>'
                ).'</item>';
        }

        return '<?xml version="1.0" encoding="utf-8"?><rss version="2.0" xmlns:dc="http://purl.org/dc/elements/1.1/" '
            .'xmlns:media="http://search.yahoo.com/mrss/">'
            .'<channel><title>'.self::x($title)
                ."</title><link>$this->host/rookcall/quillmoor</link><description>Short posts from the "
                ."hill.</description>$items</channel></rss>";
    }

    /** @param  list<array<string, mixed>>  $posts */
    private function atom(string $title, array $posts): string
    {
        $entries = '';
        foreach ($posts as $post) {
            $entries .= '<entry xml:lang="'.$post['language'].'"><id>'.$post['id'].'</id><title>'.self::x($post['title'])
                .'</title><link href="'.$this->link($post).'"/>'
                .'<published>'.$post['published'].'</published><updated>'.($post['edited'] ?? $post['published']).'</updated>'
                .'<content type="html">'.self::x(self::html($post)).'</content>'
                .($post['picture'] === null ? '' : '<link rel="enclosure" type="image/png" href="'.$this->picture($post).'"/>').'</entry>';
        }
        $updated = $posts[0]['published'] ?? '1970-01-01T00:00:00Z';

        return '<?xml version="1.0" encoding="utf-8"?><feed xmlns="http://www.w3.org/2005/Atom">'
            ."<id>$this->host/rookcall/quillmoor</id><title>".self::x($title)
                ."</title><updated>$updated</updated><link href=\"$this->host/rookcall/quillmoor\"/>"
            ."<author><name>Quillmoor Observatory</name></author>$entries</feed>";
    }

    /** @param  list<array<string, mixed>>  $posts */
    private function json(string $title, array $posts): string
    {
        return json_encode(['version' => 'https://jsonfeed.org/version/1.1', 'title' => $title, 'home_page_url' => "$this->host/rookcall/quillmoor",
            'authors' => [['name' => 'Quillmoor Observatory']],
            'items' => array_map(fn (array $post): array => array_filter(['id' => $post['id'], 'url' => $this->link($post), 'title' => $post['title'],
                'content_html' => self::html($post),
                'date_published' => $post['published'],
                'date_modified' => $post['edited'],
                'language' => $post['language'],
                'image' => $post['picture'] === null
                    ? null
                    : $this->picture($post)]), $posts)], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @param  array<string, mixed>  $post */
    private function link(array $post): string
    {
        return "$this->host/rookcall/quillmoor/posts/$post[id]";
    }

    /** @param  array<string, mixed>  $post */
    private function picture(array $post): string
    {
        return "$this->host/pictures/$post[picture]";
    }

    /** @param  array<string, mixed>  $post */
    private static function html(array $post): string
    {
        return '<p>'.self::x($post['text']).'</p>';
    }

    private static function x(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
    }
}
