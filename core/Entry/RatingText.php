<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/**
 * Ratings as people and programs write them: "4,5", "9.2/10", "4 of 5", "80%", "★★★★☆", "recommended".
 * A bare number says nothing of its scale; whoever asks has to know it, or find it among its neighbours.
 */
final readonly class RatingText
{
    private const OF = '(?:/|\bof\b|\bout of\b|\bvon\b|\bsur\b|\bde\b|\bsu\b|\bvan\b|\baf\b|\bav\b|\bz\b|\biz\b)';

    private const YES = [
        'recommended',
        'recommend',
        'recommends',
        'yes',
        'positive',
        'thumbs up',
        '👍',
        'empfohlen',
        'empfehle ich',
        'ja',
        'oui',
        'recommandé',
        'sí',
        'si',
        'recomendado',
        'consigliato',
    ];

    private const NO = [
        'not recommended',
        "doesn't recommend",
        'does not recommend',
        'no',
        'negative',
        'thumbs down',
        '👎',
        'nicht empfohlen',
        'nein',
        'non',
        'non recommandé',
        'no recomendado',
        'sconsigliato',
    ];

    /** @param  float|null  $best null where the writing does not say */
    private function __construct(public float $value, public ?float $best, public ?float $worst)
    {
    }

    /** Null where no rating can be made out. */
    public static function read(string $written): ?self
    {
        $text = mb_strtolower(trim((string) preg_replace('/[\s\x{A0}]+/u', ' ', $written)));
        // Recommended or not is a scale of its own, 0 to 1: the stated conversion makes 5 stars or 1 of it.
        if (in_array($text, self::YES, true) || in_array($text, self::NO, true)) {
            return new self(in_array($text, self::YES, true) ? 1.0 : 0.0, 1.0, 0.0);
        }

        return self::glyphs($text) ?? self::numbers($text);
    }

    /** The rating on the scale that was written, else on the one that is given. @throws RatingException */
    public function on(Scale $otherwise): Rating
    {
        $scale = $this->best === null ? $otherwise : Scale::between($this->worst ?? self::worstOf($this->best, $this->value), $this->best);

        return Rating::on($scale, $this->value);
    }

    /** Where nobody says it: scales up to ten begin at one, others at nothing; and whatever was given lies on its scale. */
    public static function worstOf(float $best, float $value): float
    {
        return $best <= 10.0 && $best > 1.0 && $value >= 1.0 ? 1.0 : 0.0;
    }

    private static function glyphs(string $text): ?self
    {
        if (preg_match('/^[★⭐🌟✦✭●♥❤◆☆✩○♡◇½⯪⯨\x{FE0F} ]+(?:\(?[\d.,]+\)?)?$/u', $text) !== 1) {
            return null;
        }
        $full = (int) preg_match_all('/[★⭐🌟✦✭●♥❤◆]/u', $text);
        $half = (int) preg_match_all('/[½⯪⯨]/u', $text);
        $empty = (int) preg_match_all('/[☆✩○♡◇]/u', $text);
        $all = $full + $half + $empty;

        return $full + $half + $empty === 0 ? null : new self($full + $half / 2, (float) max($all, 5), $full + $half === 0 ? 0.0 : null);
    }

    private static function numbers(string $text): ?self
    {
        $number = '(?<value>\d{1,4}(?:[.,]\d{1,4})?)';
        if (preg_match("~^$number\s*%$~u", $text, $found) === 1) {
            return new self(self::number($found['value']), 100.0, 0.0);
        }
        $unit = '(?:\s*(?:stars?|points?|pts|sterne?n?|punkte?n?|étoiles?|estrellas?|stelle|estrelas?|★|⭐))?';
        if (preg_match("~^$number$unit\s*".self::OF.'\s*(?<best>\d{1,4}(?:[.,]\d+)?)'."$unit$~u", $text, $found) === 1) {
            return new self(self::number($found['value']), self::number($found['best']), null);
        }
        if (preg_match("~^(?:rated\s+|rating:?\s+)?$number(?<unit>$unit)$~u", $text, $found) === 1) {
            $stars = preg_match('/star|stern|étoile|estrella|stelle|estrela|★|⭐/u', $found['unit']) === 1;

            return new self(self::number($found['value']), $stars && self::number($found['value']) <= 5.0 ? 5.0 : null, null);
        }

        return null;
    }

    private static function number(string $written): float
    {
        return (float) str_replace(',', '.', $written);
    }
}
