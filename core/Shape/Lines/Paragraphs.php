<?php

declare(strict_types=1);

namespace Gnomic\Shape\Lines;

use Gnomic\Memo;

/**
 * Texts in the letters of a font, each measured once: in its own size, so that all sizes share it, and so do the variants of an edition
 * and the widgets that show the same entries.
 */
final readonly class Paragraphs
{
    /** Texts that are remembered of a font. */
    private const MOST = 4_000;

    private Memo $plain;

    private Memo $bold;

    private Memo $extents;

    private function __construct(private Font $font)
    {
        $this->plain = new Memo(self::MOST);
        $this->bold = new Memo(self::MOST);
        $this->extents = new Memo(self::MOST);
    }

    public static function in(Font $font): self
    {
        /** @var array<string, self> $each */
        static $each = [];

        return $each[$font->value] ??= new self($font);
    }

    /** How long a text is in one line, in its own size. */
    public function extent(string $text): float
    {
        return $this->extents->of($text, fn (): float => $this->font->extent($text));
    }

    public function of(string $text, bool $isBold = false): Paragraph
    {
        return ($isBold ? $this->bold : $this->plain)->of($text, fn (): Paragraph => Paragraph::of($text, $this->font, $isBold));
    }
}
