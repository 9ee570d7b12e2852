<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Brief\Dressing;

/** The colours of a dressing. A test holds text at 4.5 to 1 and glyphs at 3 to 1 against their ground (WCAG 2.2 §1.4.3, §1.4.11). */
final readonly class Palette
{
    /**
     * @param  string  $ground  behind everything
     * @param  string  $ink  words
     * @param  string  $quiet  dates, counts, the line at the foot
     * @param  string  $line  hairlines
     * @param  string  $glyph  ratings, arrows, names
     */
    private function __construct(
        public string $ground,
        public string $ink,
        public string $quiet,
        public string $line,
        public string $glyph,
    ) {
    }

    public static function of(Dressing $dressing): self
    {
        return match ($dressing) {
            Dressing::Paper => new self(ground: '#ffffff', ink: '#1d2333', quiet: '#5a6072', line: '#cdd1dc', glyph: '#1d2333'),
            Dressing::NightInk => new self(ground: '#161b2c', ink: '#eceef5', quiet: '#a9b0c6', line: '#48507a', glyph: '#f3e6b8'),
        };
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['ground' => $this->ground, 'ink' => $this->ink, 'quiet' => $this->quiet, 'line' => $this->line, 'glyph' => $this->glyph];
    }
}
