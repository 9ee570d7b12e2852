<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Entry\Rating;

/** The rating: on its own scale, "9.2 of 10", or in words; with glyphs. */
final readonly class RatingPart extends Part
{
    /**
     * @param  int  $twentieths  of a star, 20 to 100
     * @param  bool  $isRead  and not only seen as glyphs
     */
    private function __construct(public string $text, public int $twentieths, public bool $isRead)
    {
    }

    public static function name(): string
    {
        return 'rating';
    }

    public static function label(): string
    {
        return 'Rating';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        [$rating, $stars] = [$context->entry->rating, $context->entry->stars()];

        return $rating === null || $stars === null
            ? null
            : new self(self::said($rating, $stars, $context), (int) round($stars * 20), $context->shape->rating !== 'glyphs');
    }

    public function text(): string
    {
        return $this->text;
    }

    public function height(Measure $measure, float $width): float
    {
        return Metrics::SMALL_LINE;
    }

    private static function said(Rating $rating, float $stars, PartContext $context): string
    {
        $words = $context->words;

        return match (true) {
            $rating->isRecommendation() => $words->say($rating->value === 1.0 ? 'rating.recommended' : 'rating.notRecommended'),
            $context->shape->rating === 'words' => $words->say(match ((int) round($stars)) {
                5 => 'rating.excellent',
                4 => 'rating.veryGood',
                3 => 'rating.good',
                2 => 'rating.fair',
                default => 'rating.poor',
            }),
            default => $words->say(
                'rating.of',
                ['value' => $words->number($rating->value), 'best' => $words->number($rating->scale->best)],
            ),
        };
    }
}
