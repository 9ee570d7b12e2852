<?php

declare(strict_types=1);

namespace Gnomic\Edition\Files;

use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Parts\DatePart;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\SourcePart;
use Gnomic\Shape\Parts\TitlePart;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Standing\Overall;

/**
 * What a widget shows, as schema.org has it (https://schema.org/Review, /AggregateRating), with the true overall figures. Search
 * engines do not take reviews that a business publishes of itself for others'; docs/formats.md says when it may stand in a page.
 */
final class StructuredData
{
    /**
     * @param  string  $about  what the reviews are of
     * @param  list<Entry>  $shown
     */
    public static function of(string $about, ?Plan $plan, array $shown, Overall $overall): string
    {
        $reviews = $posts = [];
        foreach ($plan->cards ?? [] as $index => $card) {
            $entry = $shown[$index] ?? null;
            if ($entry !== null && $entry->kind === Kind::Post) {
                $posts[] = self::post($card, $entry);
            } elseif ($entry !== null) {
                $reviews[] = self::review($card, $entry);
            }
        }

        return json_encode(self::present([
            '@context' => 'https://schema.org',
            '@type' => 'Organization',
            'name' => $about,
            'aggregateRating' => $plan === null || ! $plan->head->hasFigures() || $overall->mean === null ? null : [
                '@type' => 'AggregateRating',
                'ratingValue' => round($overall->mean, 2),
                'bestRating' => 5,
                'worstRating' => 1,
                'ratingCount' => $overall->count,
            ],
            'review' => $reviews,
            'subjectOf' => $posts,
        ]), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_HEX_TAG | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** @return array<string, mixed> */
    private static function review(Card $card, Entry $entry): array
    {
        return self::present([
            '@type' => 'Review',
            'author' => $card->part(NamePart::class) === null ? null : ['@type' => 'Person', 'name' => $card->part(NamePart::class)->text],
            'name' => $card->part(TitlePart::class)?->text,
            'reviewBody' => (string) $card->part(WordsPart::class)?->whole(),
            'datePublished' => $card->part(DatePart::class) === null ? null : EntryJson::date($entry->published),
            'inLanguage' => $entry->language,
            'reviewRating' => $card->part(RatingPart::class) === null || $entry->rating === null ? null : [
                '@type' => 'Rating',
                'ratingValue' => $entry->rating->value,
                'bestRating' => $entry->rating->scale->best,
                'worstRating' => $entry->rating->scale->worst,
            ],
            'publisher' => $card->part(SourcePart::class) === null ? null : [
                '@type' => 'Organization',
                'name' => $card->part(SourcePart::class)->text,
            ],
            'url' => $card->url,
        ]);
    }

    /** @return array<string, mixed> */
    private static function post(Card $card, Entry $entry): array
    {
        return self::present([
            '@type' => 'SocialMediaPosting',
            'author' => $card->part(NamePart::class) === null ? null : ['@type' => 'Person', 'name' => $card->part(NamePart::class)->text],
            'articleBody' => (string) $card->part(WordsPart::class)?->whole(),
            'datePublished' => $card->part(DatePart::class) === null ? null : EntryJson::date($entry->published),
            'image' => $card->part(PicturesPart::class)?->pictures[0]->stored?->at(1280),
            'url' => $card->url,
        ]);
    }

    /**
     * @param  array<string, mixed>  $members
     * @return array<string, mixed> without those that say nothing
     */
    private static function present(array $members): array
    {
        return array_filter($members, fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);
    }
}
