<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\LookTokens;

/**
 * Ratings as glyphs, drawn into the widget itself: no policy of a page can keep them out, as it can pictures from "data:". What is drawn
 * stands once in the widget; each rating refers to it (SVG 2, 5.5 "use", within its own tree).
 */
final class Glyphs
{
    /** Of a glyph with what is kept free beside it; a glyph is drawn from the first to the fourteenth of 15 units. */
    private const STEP = 18;

    private const WIDE = 4 * self::STEP + 15;

    private const DRAWN = 13;

    private const COUNT = 5;

    /** Twentieths of a star up to which a glyph that praises is none. */
    private const LOW = 50;

    /** @var array<string, string> paths by name */
    private array $paths = [];

    /** @param  string  $folder  NAME.path lies in it */
    public function __construct(private readonly string $folder)
    {
    }

    /** What ratings of a look refer to. */
    public function drawn(LookTokens $tokens): string
    {
        $neutral = LookTokens::NEUTRAL[$tokens->glyph] ?? null;

        return '<svg class="unseen" aria-hidden="true">'.$this->five('y', $tokens->glyph)
            .($neutral === null ? '' : $this->five('n', $neutral)).'</svg>';
    }

    /**
     * @param  int  $twentieths  of a star
     * @param  string|null  $label  read for it; null where the same is said in words beside it
     */
    public function rating(LookTokens $tokens, int $twentieths, ?string $label): string
    {
        $five = $twentieths <= self::LOW && isset(LookTokens::NEUTRAL[$tokens->glyph]) ? '#n5' : '#y5';
        $all = "href=\"$five\"/>";
        $drawn = $twentieths >= 20 * self::COUNT
            ? "<use $all"
            : "<use class=\"no\" $all<svg width=\"".self::filled($twentieths)."\"><use $all</svg>";

        return '<svg class="glyphs" part="glyphs" viewBox="0 0 '.self::WIDE.' 15"'
            .($label === null ? ' aria-hidden="true"' : ' role="img" aria-label="'.e($label).'"').'>'
            .$drawn.'</svg>';
    }

    /** One of them, as a sign for all. */
    public function sign(): string
    {
        return '<svg class="glyphs sign" viewBox="0 0 15 15" aria-hidden="true"><use href="#y"/></svg>';
    }

    private function five(string $id, string $glyph): string
    {
        $uses = '';
        foreach (range(1, self::COUNT - 1) as $place) {
            $uses .= "<use href=\"#$id\" x=\"".$place * self::STEP.'"/>';
        }

        return "<g id=\"{$id}5\"><path id=\"$id\" d=\"{$this->path($glyph)}\"/>$uses</g>";
    }

    /** Up to where five glyphs are full; a part of a glyph is one of what is drawn of it. */
    private static function filled(int $twentieths): string
    {
        $part = ($twentieths % 20) / 20;

        return (string) round(intdiv($twentieths, 20) * self::STEP + ($part > 0 ? 1 + self::DRAWN * $part : 0.0), 2);
    }

    private function path(string $glyph): string
    {
        return $this->paths[$glyph] ??= trim((string) file_get_contents("$this->folder/$glyph.path"));
    }
}
