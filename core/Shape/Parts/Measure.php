<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Composition;
use Gnomic\Shape\Lines\Paragraph;
use Gnomic\Shape\Lines\Paragraphs;

/** What the height of a part rests on beside what it says: letters and their sizes, and what the look and the composition make of them. */
final readonly class Measure
{
    /**
     * @param  float  $size  of the words, in em
     * @param  float  $leading  height of lines of the words, by their size
     * @param  float|null  $lead  size of the first sentence, where it is another
     * @param  string  $picture  shape that pictures are cut to, of ShapeSchema::PICTURES
     * @param  class-string<Composition>  $composition
     */
    public function __construct(
        private Paragraphs $paragraphs,
        public float $size,
        public float $leading,
        public ?float $lead,
        public string $picture,
        public CardBox $box,
        public string $composition,
    ) {
    }

    public function paragraph(string $text, bool $bold = false): Paragraph
    {
        return $this->paragraphs->of($text, $bold);
    }

    /** Lines of small print. @param  float  $width  in em */
    public function small(string $text, float $width, bool $bold = false): int
    {
        return $this->paragraph($text, $bold)->linesAt($width / Metrics::SMALL);
    }
}
