<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Memo;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\Paragraph;

/** Measures texts in the letters of a card, each once. */
final readonly class Measure
{
    private Memo $plain;

    private Memo $bold;

    /**
     * @param  float  $size  of the words, in em
     * @param  string  $picture  shape that pictures are cut to, of Shape::PICTURES
     * @param  float  $leading  height of lines of the words, by their size
     * @param  float  $nameSize  of names, in em
     * @param  bool  $hasFacesAbove  whether faces stand above names, and not beside them
     * @param  float|null  $lead  size of the first sentence, where it is another
     * @param  bool  $isFlat  whether what is said of somebody may stand on the line of the name
     */
    public function __construct(
        private Font $font,
        public float $size,
        public string $picture,
        public CardBox $box,
        public float $leading = Metrics::LEADING,
        public float $nameSize = Metrics::SMALL,
        public bool $isFlat = false,
        public ?float $lead = null,
        public bool $hasFacesAbove = false,
    ) {
        $this->plain = new Memo;
        $this->bold = new Memo;
    }

    public function paragraph(string $text, bool $bold = false): Paragraph
    {
        return ($bold ? $this->bold : $this->plain)->of($text, fn (): Paragraph => Paragraph::of($text, $this->font, $bold));
    }

    /** Lines of small print. @param  float  $width  in em */
    public function small(string $text, float $width, bool $bold = false): int
    {
        return $this->paragraph($text, $bold)->linesAt($width / Metrics::SMALL);
    }
}
