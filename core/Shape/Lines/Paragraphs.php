<?php

declare(strict_types=1);

namespace Gnomic\Shape\Lines;

use Gnomic\Memo;

/** Texts in the letters of a font, each measured once: in its own size, so that all sizes share it. */
final readonly class Paragraphs
{
    private Memo $plain;

    private Memo $bold;

    public function __construct(private Font $font)
    {
        $this->plain = new Memo;
        $this->bold = new Memo;
    }

    /** How long a text is in one line, in its own size. */
    public function extent(string $text): float
    {
        return $this->font->extent($text);
    }

    public function of(string $text, bool $isBold = false): Paragraph
    {
        return ($isBold ? $this->bold : $this->plain)->of($text, fn (): Paragraph => Paragraph::of($text, $this->font, $isBold));
    }
}
