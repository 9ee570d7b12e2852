<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Entry\Rating;

/** The rating: on its own scale, "9.2 of 10", or in words; with glyphs. */
final readonly class RatingPart extends Part
{
    /** Drawn for the best rating; halves can be told by eye, less cannot. */
    private const GLYPHS = 5.0;

    /** How wide and how high the glyphs are at their usual size, in em. */
    public const WIDE = 5.4375;

    private const HIGH = 0.9375;

    /**
     * @param  string  $text  whole, as it is read out: "9.2 of 10"
     * @param  int  $twentieths  of a star, 20 to 100
     * @param  bool  $hasGlyphs  whether it is drawn
     * @param  string|null  $shown  what is written of it; null where glyphs say it all
     */
    private function __construct(public string $text, public int $twentieths, public bool $hasGlyphs, public ?string $shown)
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

        if ($rating === null || $stars === null) {
            return null;
        }
        $said = self::said($rating, $stars, $context);
        $as = $context->shape->rating;

        return new self($said, (int) round($stars * 20), ! in_array($as, ['number', 'words'], true), match (true) {
            $as === 'glyphs' => null,
            $as !== 'usual' || $rating->isRecommendation() => $said,
            $rating->scale->best !== self::GLYPHS || $rating->scale->worst > 1.0 => $said,
            default => fmod($stars * 2, 1.0) === 0.0 ? null : $context->words->number($rating->value),
        });
    }

    public function text(): string
    {
        return $this->text;
    }

    public function height(Measure $measure, float $width): float
    {
        if ($this->shown === null) {
            return Metrics::SMALL_LINE;
        }
        $beside = $width - ($this->hasGlyphs ? self::WIDE + Metrics::GAP : 0.0);
        if ($beside > 0 && $measure->small($this->shown, $beside) === 1) {
            return Metrics::SMALL_LINE;
        }

        return ($this->hasGlyphs ? self::HIGH : 0.0) + $measure->small($this->shown, $width) * Metrics::SMALL_LINE;
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
