<?php

declare(strict_types=1);

namespace App\Editions;

use GdImage;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Json\Value;
use Gnomic\Memo;
use Gnomic\Standing\Overall;
use Gnomic\Text\Catalogue;

/**
 * The overall rating as a picture, for where no widget can be: e-mails, feeds, documents. The figure, five lozenges filled to a twentieth,
 * and what it rests on; in the colours of the widget's look.
 */
final readonly class RatingPicture
{
    private const WIDTH = 360;

    private const HEIGHT = 72;

    /** Dots of the PNG for each CSS pixel: e-mails are read on fine screens. */
    private const DENSITY = 2;

    /** Corners of a lozenge, in CSS pixels from its upper left. */
    private const LOZENGE = [[9, 0], [18, 10], [9, 20], [0, 10]];

    /** PNGs that are remembered, of some five kilobytes each. */
    private const REMEMBERED = 64;

    /** By all that is drawn on them: widgets of one site mostly show one rating. */
    private Memo $drawn;

    /** @param  string  $font  a TrueType file for the PNG */
    public function __construct(private string $font)
    {
        $this->drawn = new Memo(self::REMEMBERED);
    }

    public function svg(VariantInput $input): string
    {
        [$figure, $base, $spoken] = self::words($input->chosen->overall, $input->words);
        $colours = self::colours($input);
        $text = fn (string $words): string => htmlspecialchars($words, ENT_XML1 | ENT_QUOTES);
        $points = implode(' ', array_map(fn (array $point): string => "$point[0],$point[1]", self::LOZENGE));
        $glyphs = '';
        foreach (range(0, 4) as $place) {
            $share = max(0.0, min(1.0, ($input->chosen->overall->mean ?? 0) - $place));
            $glyphs .= '<g transform="translate('.(96 + $place * 24).",12)\"><polygon points=\"$points\" fill=\"none\" "
                ."stroke=\"{$colours['rating']}\"/>"
                .(
                    $share > 0 ? '<svg width="'.round(18 * $share, 1)
                        ."\" height=\"20\"><polygon points=\"$points\" fill=\"{$colours['rating']}\"/></svg>" : ''
                )
                .'</g>';
        }

        return '<svg xmlns="http://www.w3.org/2000/svg" width="'.self::WIDTH.'" height="'.self::HEIGHT.'" viewBox="0 0 '.self::WIDTH.' '
            .self::HEIGHT.'" role="img" aria-label="'.$text($spoken).'"><title>'.$text($spoken).'</title>'
            ."<rect width=\"100%\" height=\"100%\" fill=\"{$colours['ground']}\"/>"
            ."<text x=\"14\" y=\"52\" font-family=\"Georgia,serif\" font-size=\"46\" fill=\"{$colours['ink']}\">".$text($figure).'</text>'
            .$glyphs
            ."<text x=\"96\" y=\"55\" font-family=\"system-ui,sans-serif\" font-size=\"14\" fill=\"{$colours['quiet']}\" textLength=\""
            .self::length($base).'" lengthAdjust="spacingAndGlyphs">'.$text($base)."</text></svg>\n";
    }

    /** @return string|null null where there is no font to write with */
    public function png(VariantInput $input): ?string
    {
        if (! is_file($this->font)) {
            return null;
        }
        [$figure, $base] = self::words($input->chosen->overall, $input->words);
        $mean = $input->chosen->overall->mean ?? 0.0;
        $colours = self::colours($input);
        $name = implode("\n", [$figure, $base, $mean, ...$colours]);

        return $this->drawn->of($name, fn (): string => $this->drawing($figure, $base, $mean, array_map(self::rgb(...), $colours)));
    }

    /**
     * @param  float  $mean  on five stars
     * @param  array<"ground"|"ink"|"quiet"|"rating", array{int<0, 255>, int<0, 255>, int<0, 255>}>  $colours
     */
    private function drawing(string $figure, string $base, float $mean, array $colours): string
    {
        $image = imagecreatetruecolor(self::WIDTH * self::DENSITY, self::HEIGHT * self::DENSITY);
        imageantialias($image, true);
        $colour = fn (string $name): int => (int) imagecolorallocate($image, ...$colours[$name]);
        imagefilledrectangle($image, 0, 0, self::WIDTH * self::DENSITY, self::HEIGHT * self::DENSITY, $colour('ground'));
        $this->write($image, $figure, 34, 14, 54, 74, $colour('ink'));
        foreach (range(0, 4) as $place) {
            $share = max(0.0, min(1.0, $mean - $place));
            $this->lozenge($image, 96 + $place * 24, 12, $share, $colour('rating'), $colour('ground'));
        }
        $this->write($image, $base, 10.5, 96, 55, self::WIDTH - 106, $colour('quiet'));
        ob_start();
        imagepng($image, null, 9);

        return (string) ob_get_clean();
    }

    /** @param  float  $size  points @param  int  $room  CSS pixels, beyond which it is written smaller */
    private function write(GdImage $image, string $words, float $size, int $x, int $y, int $room, int $colour): void
    {
        $box = imagettfbbox($size * self::DENSITY, 0, $this->font, $words);
        $wide = $box === false ? 0.0 : (Value::number($box[2]) - Value::number($box[0])) / self::DENSITY;
        $size *= $wide > $room ? $room / $wide : 1;
        imagettftext($image, $size * self::DENSITY, 0, $x * self::DENSITY, $y * self::DENSITY, $colour, $this->font, $words);
    }

    private function lozenge(GdImage $image, int $x, int $y, float $share, int $colour, int $ground): void
    {
        $points = fn (int $in): array => array_merge(...array_map(fn (array $point): array => [
            ($x + $point[0]) * self::DENSITY + ($point[0] === 0 ? $in : ($point[0] === 18 ? -$in : 0)),
            ($y + $point[1]) * self::DENSITY + ($point[1] === 0 ? $in : ($point[1] === 20 ? -$in : 0)),
        ], self::LOZENGE));
        imagefilledpolygon($image, $points(0), $colour);
        if ($share < 1) {
            // The unfilled part shows its line alone.
            $hollow = imagecreatetruecolor(18 * self::DENSITY, 21 * self::DENSITY);
            if ($hollow !== false) {
                imagecopy($hollow, $image, 0, 0, $x * self::DENSITY, $y * self::DENSITY, 18 * self::DENSITY, 21 * self::DENSITY);
                imagefilledpolygon($image, $points(3), $ground);
                $filled = (int) round(18 * self::DENSITY * $share);
                imagecopy($image, $hollow, $x * self::DENSITY, $y * self::DENSITY, 0, 0, $filled, 21 * self::DENSITY);
            }
        }
    }

    /** @return array{string, string, string} the figure, what it rests on, and both as they are read */
    private static function words(Overall $overall, Catalogue $words): array
    {
        $figure = $overall->mean === null ? '–' : $words->number(round($overall->mean, 1), 1);
        $base = $words->say(
            'figures.base',
            ['count' => $overall->count, 'sources' => $overall->sources, 'places' => $words->counted($overall->sources)],
        );

        $said = $words->say('figures.ofFive', ['value' => $figure]);

        return [$figure, $base, $overall->mean === null ? $base : $said.$words->say('list.comma').$base];
    }

    /** @return array{ground: string, ink: string, quiet: string, rating: string} */
    private static function colours(VariantInput $input): array
    {
        $palette = $input->look->palette();

        return ['ground' => substr($palette->solid()->toHex(), 0, 7)] + array_map(
            fn (string $name): string => substr($palette->colours[$name] ?? '#000000', 0, 7),
            ['ink' => 'ink', 'quiet' => 'quiet', 'rating' => 'rating'],
        );
    }

    /** @return array{int<0, 255>, int<0, 255>, int<0, 255>} */
    private static function rgb(string $hex): array
    {
        $part = fn (int $at): int => max(0, min(255, (int) hexdec(substr($hex, $at, 2))));

        return [$part(1), $part(3), $part(5)];
    }

    /** About how long words are in a picture's font, so that none run out of it. */
    private static function length(string $words): int
    {
        return min(self::WIDTH - 106, (int) round(mb_strwidth($words) * 6.9));
    }
}
