<?php

declare(strict_types=1);

namespace Standins;

/** A night sky, drawn by chance with a seed: the same name gives the same picture. */
final class Picture
{
    public static function of(string $name, int $width): Answer
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Mt19937(crc32($name)));
        // Cameras are held this way and that.
        $height = (int) ($width * (str_starts_with($name, 'sky-') ? [0.75, 1.25, 0.6, 1.0][crc32($name) % 4] : 0.75));
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        $tint = [$chance->getInt(0, 40), $chance->getInt(0, 50), $chance->getInt(30, 80)];
        for ($y = 0; $y < $height; $y++) {
            $share = $y / $height;
            imageline(
                $image,
                0,
                $y,
                $width,
                $y,
                (int) imagecolorallocate(
                    $image,
                    min(255, max(0, (int) (10 + $tint[0] * $share))),
                    min(255, max(0, (int) (14 + $tint[1] * $share))),
                    min(255, max(0, (int) (34 + $tint[2] * $share))),
                ),
            );
        }
        for ($star = 0; $star < 160; $star++) {
            $light = $chance->getInt(120, 255);
            $size = max(1, (int) ($width / 400 * ($chance->getInt(0, 20) === 0 ? 3 : 1)));
            imagefilledellipse(
                $image,
                $chance->getInt(0, $width),
                (int) ($chance->getInt(0, 1000) / 1000 * $height * 0.85),
                $size,
                $size,
                (int) imagecolorallocate($image, $light, $light, min(255, $light + 20)),
            );
        }
        $dark = (int) imagecolorallocate($image, 8, 9, 14);
        $at = (int) ($width * $chance->getInt(25, 75) / 100);
        imagefilledellipse($image, $at, (int) ($height * 0.9), (int) ($width * 0.22), (int) ($width * 0.22), $dark);
        imagefilledrectangle($image, 0, (int) ($height * 0.9), $width, $height, $dark);
        ob_start();
        imagepng($image);

        return new Answer(200, 'image/png', (string) ob_get_clean(), ['Cache-Control' => 'max-age=86400']);
    }
}
