<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use DOMElement;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\Page\Computed;
use Gnomic\Dress\Page\PageStyles;

/** Reads what is no colour from a section: sizes of letters on wide screens and on narrow ones, cards, buttons, links. */
final class TokenReading
{
    /** Between cards where the page does not say, in CSS pixels. */
    private const GAP = 20;

    /** Pixels from which on a line under a link is a thick one. */
    private const THICK = 1.8;

    private const CASES = ['uppercase' => 'upper', 'lowercase' => 'lower', 'capitalize' => 'title'];

    /** @var array<string, int|string> */
    private array $tokens = [];

    /** How large the letters around words are, by their usual size. */
    private float $scale = 1.0;

    /** @param  PageStyles  $narrow  of the same page on a narrow screen */
    public function __construct(private readonly StyleSamples $samples, private readonly PageStyles $narrow, private readonly Notes $notes)
    {
    }

    /** @return array<string, int|string> as LookTokens::read() takes them */
    public function tokens(): array
    {
        $this->text();
        $this->heading();
        $card = $this->samples->card();
        $button = $this->samples->button();
        if ($card !== null) {
            $this->cards($card);
        } elseif ($button !== null) {
            // A button may be quite round; a card that were would be none.
            $this->put('corner', self::bound($this->samples->style($button)->radius(), 0, 12), $button, 'border-radius', 'buttons');
        }
        if ($button !== null) {
            $style = $this->samples->style($button);
            $this->put('buttonCorner', self::bound($style->radius(), 0, 32), $button, 'border-radius', 'buttons');
            $this->put('buttonWeight', self::bound((float) $style->weight, 300, 900), $button, 'font-weight', 'buttons');
            $this->capitals('buttonCase', $button, 'buttons');
        }
        $picture = $this->samples->picture();
        $round = $picture === null ? 0.0 : $this->samples->style($picture)->radius();
        if ($picture !== null && $round > 0) {
            $this->put('pictureCorner', self::bound($round, 0, 32), $picture, 'border-radius', 'pictures');
        }
        $this->links();

        return $this->tokens;
    }

    /** Words of a widget stand as large as those of the page. */
    private function text(): void
    {
        $of = $this->samples->sized();
        $text = $this->samples->style($of);
        $size = fn (Computed $style): float => self::bound(100 * $style->size / 16 / LookTokens::WORDS, 60, 200);
        $this->put('size', $size($text), $of, 'font-size', 'text');
        $this->scale = (int) $this->tokens['size'] / 100;
        $narrow = $size($this->narrow->computed($of));
        if (round($narrow) !== round($size($text))) {
            $this->put('sizeNarrow', $narrow, $of, 'font-size', 'text on narrow screens');
        }
        if ($text->leading !== null && $text->size > 0) {
            $this->put('leading', self::bound(100 * $text->leading / $text->size, 100, 220), $of, 'line-height', 'text');
        }
        if (strlen($text->family) <= 200 && $this->samples->isOtherThanAround($of)) {
            $this->put('text', $text->family, $of, 'font-family', 'text');
        }
    }

    private function heading(): void
    {
        $heading = $this->samples->heading();
        if ($heading === null) {
            return;
        }
        $style = $this->samples->style($heading);
        if ($style->family !== $this->samples->style($this->samples->sized())->family && strlen($style->family) <= 200) {
            $this->put('headings', $style->family, $heading, 'font-family', 'headings');
        }
        $this->put('weight', self::bound((float) $style->weight, 300, 900), $heading, 'font-weight', 'headings');
        $wide = self::bound(100 * $style->size / (16 * $this->scale), 60, 500);
        $this->put('headingSize', $wide, $heading, 'font-size', 'headings');
        $narrow = self::bound(100 * $this->narrow->computed($heading)->size / (16 * $this->around()), 60, 500);
        if (round($narrow) !== round($wide)) {
            $this->put('headingNarrow', $narrow, $heading, 'font-size', 'headings on narrow screens');
        }
        if ($style->leading !== null && $style->size > 0) {
            $this->put('headingLeading', self::bound(100 * $style->leading / $style->size, 80, 220), $heading, 'line-height', 'headings');
        }
        $spacing = $style->length('letter-spacing');
        if ($style->size > 0 && abs($spacing) >= 0.05) {
            $this->put('headingSpacing', self::bound(1000 * $spacing / $style->size, -100, 400), $heading, 'letter-spacing', 'headings');
        }
        $this->capitals('headingCase', $heading, 'headings');
    }

    /** How large the letters around words are on narrow screens, by their usual size. */
    private function around(): float
    {
        return (int) ($this->tokens['sizeNarrow'] ?? $this->tokens['size']) / 100;
    }

    /** How far words on a card stand from its edge, whichever of its parts keeps the room free. */
    private static function padding(PageStyles $styles, DOMElement $card, DOMElement $words): float
    {
        $room = 0.0;
        for ($at = $words; $at instanceof DOMElement; $at = $at->parentNode) {
            $style = $styles->computed($at);
            $room += $style->length('padding-left');
            if ($at->isSameNode($card)) {
                break;
            }
            $room += $style->length('margin-left') + $style->length('border-left-width');
        }

        return $room;
    }

    private function capitals(string $token, DOMElement $of, string $what): void
    {
        $case = self::CASES[strtolower($this->samples->style($of)->value('text-transform'))] ?? null;
        if ($case !== null) {
            $this->put($token, $case, $of, 'text-transform', $what);
        }
    }

    /** Tokens of cards that are boxes: pixels at the usual size of letters, so that they are the page's own at the size that it has. */
    private function cards(DOMElement $card): void
    {
        $style = $this->samples->style($card);
        $words = $this->samples->textOn($card);
        $padding = self::padding($this->samples->styles, $card, $words) / $this->scale;
        $narrow = self::padding($this->narrow, $card, $words) / $this->around();
        $shadow = $style->value('box-shadow');
        $this->put('corner', self::bound($style->radius(), 0, 32), $card, 'border-radius', 'cards');
        $this->put('inset', self::bound($padding, 0, 64), $card, 'padding', 'cards');
        if (abs($narrow - $padding) >= 1.0) {
            $this->put('insetNarrow', self::bound($narrow, 0, 64), $card, 'padding', 'cards on narrow screens');
        }
        $edge = $style->length('border-top-width');
        $this->put('edge', self::bound($edge > 0 ? max(1.0, $edge / $this->scale) : 0.0, 0, 4), $card, 'border-top-width', 'cards');
        $isFlat = $shadow === 'none' || $shadow === '' || str_contains($shadow, 'inset');
        $this->put('shadow', $isFlat ? 0.0 : (float) self::height($shadow), $card, 'box-shadow', 'cards');
        $around = $card->parentNode;
        $gap = $around instanceof DOMElement ? $this->samples->style($around)->length('column-gap') : 0.0;
        if ($around instanceof DOMElement && $gap > 0) {
            $this->put('gap', self::bound($gap / $this->scale, 4, 80), $around, 'column-gap', 'between cards');
        }
        $this->tokens += ['rule' => 0, 'gap' => self::GAP];
    }

    private function links(): void
    {
        $link = $this->samples->link();
        if ($link === null) {
            return;
        }
        $style = $this->samples->style($link);
        // Older pages draw the line as an edge.
        $edge = $style->length('border-bottom-width');
        $thickness = $style->value('text-decoration-thickness');
        $pixels = match (true) {
            $edge > 0 => $edge,
            preg_match('/^([\d.]+)px$/D', $thickness, $found) === 1 => (float) $found[1],
            preg_match('/^([\d.]+)r?em$/D', $thickness, $found) === 1 => (float) $found[1] * $style->size,
            default => 1.0,
        };
        $isLined = $edge > 0 || $style->value('text-decoration-line') === 'underline';
        $drawn = $style->value($edge > 0 ? 'border-bottom-style' : 'text-decoration-style');
        $isDotted = in_array($drawn, ['dotted', 'dashed'], true);
        $links = match (true) {
            ! $isLined => 'pointed',
            $isDotted => 'dotted',
            $pixels >= self::THICK => 'thick',
            default => null,
        };
        if ($links !== null) {
            $this->put('links', $links, $link, $edge > 0 ? 'border-bottom-width' : 'text-decoration-line', 'links');
        }
    }

    private function put(string $token, float|string $value, DOMElement $of, string $property, string $what): void
    {
        $this->tokens[$token] = is_float($value) ? (int) round($value) : $value;
        $this->notes->read("tokens.$token", $this->tokens[$token], $of, $property, $what);
    }

    private static function bound(float $value, float $least, float $most): float
    {
        return max($least, min($most, $value));
    }

    /** How high a shadow makes a card stand, 1 to 4, by how far it is blurred. */
    private static function height(string $shadow): int
    {
        preg_match_all('/(-?[\d.]+)px|(-?[\d.]+)rem/', $shadow, $found, PREG_SET_ORDER);
        $most = 0.0;
        foreach ($found as $one) {
            $most = max($most, ($one[1] ?? '') !== '' ? (float) $one[1] : 16 * (float) ($one[2] ?? 0));
        }

        return match (true) {
            $most <= 6 => 1,
            $most <= 14 => 2,
            $most <= 28 => 3,
            default => 4,
        };
    }
}
