<?php

declare(strict_types=1);

namespace Standins;

/** A marketplace: product pages that mark up their reviews, each page in another way; a stall that lists its products. */
final readonly class BarrowFair
{
    public function __construct(private State $state, private string $host)
    {
    }

    public function answer(Request $request): Answer
    {
        $items = array_column($this->state->read()['items'], null, 'slug');
        if ($request->path === '/stalls/quillmoor') {
            return self::page(
                'The observatory’s stall',
                implode('', array_map(fn (array $item): string => $this->microdata($item), array_values($items))),
            );
        }
        $item = preg_match('~^/items/([\w-]+)$~', $request->path, $found) === 1 ? ($items[$found[1]] ?? null) : null;
        if ($item === null) {
            return Page::missing('Barrow Fair');
        }

        return self::page($item['name'], match ($item['markup']) {
            'json-ld' => $this->plain($item).'<script type="application/ld+json">'.json_encode(
                $this->linked($item),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_HEX_TAG,
            ).'</script>',
            'microdata' => $this->microdata($item),
            'rdfa' => $this->rdfa($item),
            default => $this->plain($item),
        })->validated(hash('xxh128', serialize($item)));
    }

    private static function page(string $title, string $body): Answer
    {
        return new Answer(
            200,
            'text/html; charset=utf-8',
            '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>'.self::x($title)
                .' · Barrow Fair</title></head><body><main><h1>'.self::x($title)."</h1>$body</main></body></html>",
        );
    }

    /** @param  array<string, mixed>  $item */
    private function plain(array $item): string
    {
        return '<p>'.self::x($item['about']).'</p>'.implode(
            '',
            array_map(
                fn (array $review): string => '<p><strong>'.self::x($review['name']).'</strong> '.$review['stars'].'/5 '
                    .self::x($review['text']).'</p>',
                $item['reviews'],
            ),
        );
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array<string, mixed>
     */
    private function linked(array $item): array
    {
        return ['@context' => 'https://schema.org', '@graph' => [['@type' => 'Product', '@id' => "$this->host/barrowfair/items/$item[slug]#product", 'name' => $item['name'], 'description' => $item['about'],
            'image' => "$this->host/pictures/$item[picture]", 'aggregateRating' => ['@type' => 'AggregateRating'] + $this->overall($item),
            'review' => array_map(fn (array $review): array => ['@type' => 'Review', '@id' => "$this->host/barrowfair/items/$item[slug]#$review[id]", 'author' => ['@type' => 'Person', 'name' => $review['name']],
                'datePublished' => $review['date'],
                'name' => $review['title'],
                'reviewBody' => $review['text'],
                'reviewRating' => ['@type' => 'Rating', 'ratingValue' => $review['stars'], 'bestRating' => 5]], $item['reviews'])]]];
    }

    /** @param  array<string, mixed>  $item */
    private function microdata(array $item): string
    {
        $overall = $this->overall($item);
        $reviews = implode('', array_map(fn (array $review): string => '<div itemprop="review" itemscope '
            .'itemtype="https://schema.org/Review" itemid="#'.$review['id'].'"><h3 itemprop="name">'.self::x($review['title']).'</h3>'
            .'<span itemprop="author" itemscope itemtype="https://schema.org/Person"><span itemprop="name">'.self::x($review['name'])
                .'</span></span> <time itemprop="datePublished" datetime="'.$review['date'].'">'.$review['date'].'</time>'
            .'<span itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating"><meta itemprop="worstRating" '
            .'content="1"><span itemprop="ratingValue">'
                .$review['stars'].'</span> of <span itemprop="bestRating">5</span></span>'
            .'<p itemprop="reviewBody">'.self::x($review['text']).'</p></div>', $item['reviews']));

        return '<section itemscope itemtype="https://schema.org/Product"><h2 itemprop="name">'.self::x($item['name'])
            .'</h2><a itemprop="url" href="/barrowfair/items/'.$item['slug'].'">The page</a>'
            .'<p itemprop="aggregateRating" itemscope itemtype="https://schema.org/AggregateRating"><span itemprop="ratingValue">'
                .$overall['ratingValue'].'</span> of 5 from <span itemprop="reviewCount">'.$overall['reviewCount'].'</span></p>'
                .$reviews.'</section>';
    }

    /** @param  array<string, mixed>  $item */
    private function rdfa(array $item): string
    {
        $overall = $this->overall($item);
        $reviews = implode('', array_map(fn (array $review): string => '<div property="review" typeof="Review" '
            .'resource="#'.$review['id'].'"><h3 property="name">'.self::x($review['title']).'</h3>'
            .'<span property="author" typeof="Person"><span property="name">'.self::x($review['name'])
                .'</span></span> <time property="datePublished" datetime="'.$review['date'].'">'.$review['date'].'</time>'
            .'<span property="reviewRating" typeof="Rating"><span property="ratingValue">'.$review['stars']
                .'</span></span><p property="reviewBody">'.self::x($review['text']).'</p></div>',
            $item['reviews']));

        return '<section vocab="https://schema.org/" typeof="Product"><h2 property="name">'.self::x($item['name'])
            .'</h2><p property="aggregateRating" typeof="AggregateRating"><span property="ratingValue">'.$overall['ratingValue']
            .'</span> from <span property="reviewCount">'.$overall['reviewCount'].'</span></p>'.$reviews.'</section>';
    }

    /**
     * The marketplace counts ratings that were given without a review too.
     *
     * @param  array<string, mixed>  $item
     * @return array{ratingValue: float, reviewCount: int}
     */
    private function overall(array $item): array
    {
        $stars = [...array_column($item['reviews'], 'stars'), ...$item['silent']];

        return ['ratingValue' => $stars === [] ? 0.0 : round(array_sum($stars) / count($stars), 1), 'reviewCount' => count($stars)];
    }

    private static function x(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES);
    }
}
