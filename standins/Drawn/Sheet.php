<?php

declare(strict_types=1);

namespace Standins\Drawn;

use GdImage;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Something to draw on, twice as fine as it is wanted where it is small: by shares of its width and height, in colours "rrggbb", by chance with a seed. */
final class Sheet
{
    /** Pixels from which on it is as fine as it is wanted. */
    private const LARGE = 1000;

    public readonly Randomizer $chance;

    private GdImage $image;

    /** @var int<1, max> */
    private readonly int $wide;

    /** @var int<1, max> */
    private readonly int $high;

    /** @var int<1, 2> */
    private readonly int $fine;

    public function __construct(int $width, int $height, int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->fine = $width < self::LARGE ? 2 : 1;
        [$this->wide, $this->high] = [max(1, $width * $this->fine), max(1, $height * $this->fine)];
        $this->image = imagecreatetruecolor($this->wide, $this->high);
        imagealphablending($this->image, true);
    }

    /** Width by height. */
    public function ratio(): float
    {
        return $this->wide / $this->high;
    }

    /** A number by chance. */
    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->chance->getInt(0, 10_000) / 10_000;
    }

    /**
     * From above to below.
     *
     * @param  non-empty-list<string>  $colours
     */
    public function ground(array $colours): void
    {
        $steps = max(1, count($colours) - 1);
        for ($y = 0; $y < $this->high; $y++) {
            $at = $y / $this->high * $steps;
            $from = min($steps - 1, (int) $at);
            $colour = $this->mixed($colours[max(0, $from)], $colours[min(count($colours) - 1, $from + 1)], $at - $from);
            imageline($this->image, 0, $y, $this->wide, $y, $colour);
        }
    }

    /** Points of light, some of them larger and warmer; down to a share of the height. */
    public function stars(int $count, float $down = 1.0): void
    {
        for ($star = 0; $star < $count; $star++) {
            $light = $this->chance->getInt(90, 255);
            $warm = $this->chance->getInt(0, 60);
            $size = max(2, (int) ($this->wide / 1400 * [2, 2, 3, 3, 4, 7][intdiv($this->chance->getInt(0, 5) * $this->chance->getInt(0, 5), 5)]));
            $colour = $this->ink(sprintf('ff%02x%02x', 255 - intdiv($warm, 3), 255 - $warm), $light / 255);
            $this->spot($this->chance->getInt(0, 1000) / 1000, $this->chance->getInt(0, 1000) / 1000 * $down, $size, $colour);
        }
    }

    /** A soft light: brightest in its middle. @param  float  $size  share of the width */
    public function glow(float $x, float $y, float $size, string $colour, float $strength = 1.0): void
    {
        for ($step = 14; $step > 0; $step--) {
            $this->spot($x, $y, (int) ($this->wide * $size * $step / 14), $this->ink($colour, 0.12 * $strength));
        }
    }

    /**
     * Clouds, thick and thin: noise of several sizes that bends itself (fractal Brownian motion over value noise, common practice), drawn
     * small and made large.
     *
     * @param  list<string>  $colours  from thin to thick
     * @param  float  $middle  share of the height at which they are thickest, and how far they reach from there
     */
    public function clouds(array $colours, float $strength, float $middle = 0.5, float $breadth = 0.6): void
    {
        $wide = max(8, (int) (64 * sqrt($this->ratio())));
        $high = max(8, (int) ($wide / $this->ratio()));
        $small = imagecreatetruecolor($wide, $high);
        imagealphablending($small, false);
        $lattice = [];
        foreach (range(0, 1023) as $at) {
            $lattice[$at] = $this->chance->getInt(0, 1000) / 1000;
        }
        $noise = static function (float $x, float $y) use ($lattice): float {
            [$left, $top] = [(int) floor($x), (int) floor($y)];
            [$across, $down] = [$x - $left, $y - $top];
            [$across, $down] = [$across * $across * (3 - 2 * $across), $down * $down * (3 - 2 * $down)];
            $one = $lattice[($left + $top * 57) & 1023];
            $two = $lattice[($left + 1 + $top * 57) & 1023];
            $three = $lattice[($left + ($top + 1) * 57) & 1023];
            $four = $lattice[($left + 1 + ($top + 1) * 57) & 1023];
            $above = $one + ($two - $one) * $across;

            return $above + ($three + ($four - $three) * $across - $above) * $down;
        };
        $steps = count($colours) - 1;
        for ($y = 0; $y < $high; $y++) {
            $far = abs($y / $high - $middle) / $breadth;
            $share = max(0.0, 1 - $far * $far) * $strength;
            for ($x = 0; $x < $wide; $x++) {
                $bend = 2.4 * $noise($x / 16 + 31, $y / 16 + 7);
                $value = 0.55 * $noise($x / 17 + $bend, $y / 14 + $bend) + 0.28 * $noise($x / 8 + $bend * 2, $y / 7 + 90)
                    + 0.17 * $noise($x / 3.6 + 200, $y / 3.4 + $bend);
                $thick = max(0.0, min(1.0, ($value - 0.3) * 2.1)) * $share;
                $from = min($steps - 1, (int) ($thick * $steps));
                [$red, $green, $blue] = self::rgb($this->mixed($colours[$from], $colours[$from + 1], $thick * $steps - $from));
                imagesetpixel($small, $x, $y, (int) imagecolorallocatealpha($small, $red, $green, $blue, max(0, min(127, 127 - (int) (120 * $thick * 1.3)))));
            }
        }
        // Twofold each time, so that no corner of what is small can be told.
        $large = $small;
        while (imagesx($large) < $this->wide) {
            $isLast = 2 * imagesx($large) >= $this->wide;
            [$next, $down] = $isLast ? [$this->wide, $this->high] : [2 * imagesx($large), 2 * imagesy($large)];
            $next = imagescale($large, $next, $down, IMG_BILINEAR_FIXED);
            if ($next === false) {
                return;
            }
            $large = $next;
        }
        imagecopy($this->image, $large, 0, 0, 0, 0, $this->wide, $this->high);
    }

    /** @param  float  $size  share of the width */
    public function disc(float $x, float $y, float $size, string $colour, float $alpha = 1.0): void
    {
        $this->spot($x, $y, (int) ($this->wide * $size), $this->ink($colour, $alpha));
    }

    /** @param  float  $size  shares of the width */
    public function oval(float $x, float $y, float $size, float $high, string $colour, float $alpha = 1.0): void
    {
        imagefilledellipse(
            $this->image,
            (int) ($x * $this->wide),
            (int) ($y * $this->high),
            (int) ($size * $this->wide),
            (int) ($high * $this->wide),
            $this->ink($colour, $alpha),
        );
    }

    /** Part of a circle as a line. @param  float  $size  share of the width */
    public function arc(float $x, float $y, float $size, int $from, int $to, string $colour, float $alpha, int $thick = 2, float $flat = 1.0): void
    {
        imagesetthickness($this->image, $thick);
        imagearc(
            $this->image,
            (int) ($x * $this->wide),
            (int) ($y * $this->high),
            (int) ($size * $this->wide),
            (int) ($size * $flat * $this->wide),
            $from,
            $to,
            $this->ink($colour, $alpha),
        );
    }

    public function line(float $x, float $y, float $toX, float $toY, string $colour, float $alpha = 1.0, int $thick = 2): void
    {
        imagesetthickness($this->image, $thick);
        imageline(
            $this->image,
            (int) ($x * $this->wide),
            (int) ($y * $this->high),
            (int) ($toX * $this->wide),
            (int) ($toY * $this->high),
            $this->ink($colour, $alpha),
        );
    }

    /** @param  list<array{float, float}>  $points  shares of width and height */
    public function shape(array $points, string $colour, float $alpha = 1.0): void
    {
        $flat = [];
        foreach ($points as [$x, $y]) {
            array_push($flat, (int) ($x * $this->wide), (int) ($y * $this->high));
        }
        imagefilledpolygon($this->image, $flat, $this->ink($colour, $alpha));
    }

    /** A ridge from side to side, up to the foot of the picture. */
    public function hill(float $height, float $rough, string $colour, float $alpha = 1.0): void
    {
        $phase = [$this->between(0, 6), $this->between(0, 6), $this->between(0, 6)];
        $points = [[0.0, 1.01]];
        for ($step = 0; $step <= 80; $step++) {
            $x = $step / 80;
            $wave = sin($x * 4 * max(1.0, $this->ratio() / 1.3) + $phase[0]) * 0.6 + sin($x * 9 + $phase[1]) * 0.3 + sin($x * 21 + $phase[2]) * 0.1;
            $points[] = [$x, 1 - $height - $rough * $wave];
        }
        $points[] = [1.0, 1.01];
        $this->shape($points, $colour, $alpha);
    }

    public function png(): string
    {
        $small = $this->fine === 1 ? false
            : imagescale($this->image, intdiv($this->wide, $this->fine), intdiv($this->high, $this->fine), IMG_BILINEAR_FIXED);
        ob_start();
        imagepng($small === false ? $this->image : $small, null, 6);

        return (string) ob_get_clean();
    }

    private function spot(float $x, float $y, int $size, int $colour): void
    {
        imagefilledellipse($this->image, (int) ($x * $this->wide), (int) ($y * $this->high), $size, $size, $colour);
    }

    private function ink(string $colour, float $alpha): int
    {
        [$red, $green, $blue] = self::rgb((int) hexdec($colour));

        return (int) imagecolorallocatealpha($this->image, $red, $green, $blue, max(0, min(127, 127 - (int) (127 * $alpha))));
    }

    private function mixed(string $one, string $other, float $share): int
    {
        [$from, $to] = [self::rgb((int) hexdec($one)), self::rgb((int) hexdec($other))];
        $mix = fn (int $at): int => (int) round($from[$at] + ($to[$at] - $from[$at]) * max(0.0, min(1.0, $share)));

        return ($mix(0) << 16) | ($mix(1) << 8) | $mix(2);
    }

    /** @return array{int<0, 255>, int<0, 255>, int<0, 255>} */
    private static function rgb(int $colour): array
    {
        return [($colour >> 16) & 255, ($colour >> 8) & 255, $colour & 255];
    }
}
