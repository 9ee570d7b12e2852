<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

/** A colour that has to be told from what is behind it. */
final readonly class Pair
{
    /** Contrast of words, which large ones (they need 3) have as well, and of what is no word: WCAG 2.2, 1.4.3 and 1.4.11. */
    public const TEXT = 4.5;

    public const SIGN = 3.0;

    /**
     * @param  string  $token  of Palette::OVER or Palette::ELSE
     * @param  'ground'|'surface'|'button'  $on
     * @param  string  $what  is drawn so, in words
     * @param  list<string>  $states  in which it is: the colour is the same in all of them
     */
    private function __construct(
        public string $token,
        public string $on,
        public float $least,
        public string $what,
        public array $states = ['at rest'],
    ) {
    }

    /** @return list<self> all that a widget draws */
    public static function all(): array
    {
        /** @var list<self>|null $all */
        static $all = null;

        return $all ??= [
            new self('cardInk', 'surface', self::TEXT, 'words on cards'),
            new self('ink', 'ground', self::TEXT, 'the figure and the place among the cards'),
            new self('heading', 'ground', self::TEXT, 'headings'),
            new self('cardQuiet', 'surface', self::TEXT, 'dates and small print on cards'),
            new self('quiet', 'ground', self::TEXT, 'counts and the line at the foot'),
            new self('cardAccent', 'surface', self::TEXT, 'names, and what can be pressed on cards', ['at rest', 'under the pointer']),
            new self('accent', 'ground', self::TEXT, 'what can be pressed in head and foot', ['at rest', 'under the pointer', 'chosen']),
            new self('buttonInk', 'button', self::TEXT, 'words on buttons', ['at rest', 'under the pointer']),
            new self('cardLink', 'surface', self::TEXT, 'links on cards', ['at rest', 'under the pointer']),
            new self('link', 'ground', self::TEXT, 'links in the foot', ['at rest', 'under the pointer']),
            new self('cardRating', 'surface', self::SIGN, 'rating glyphs on cards'),
            new self('rating', 'ground', self::SIGN, 'rating glyphs and the spread in the head'),
            new self('control', 'ground', self::SIGN, 'arrows, dots and edges of buttons', ['at rest', 'under the pointer', 'at an end']),
            new self('cardControl', 'surface', self::SIGN, 'the ring around what has the focus', ['with the focus']),
        ];
    }
}
