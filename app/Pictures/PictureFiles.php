<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Host\Durable;
use GdImage;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Json\Value;
use RuntimeException;

/**
 * Pictures as files that visitors get: read, turned upright, and written anew as WebP in a few widths. What is not
 * picture, such as where it was taken, does not survive that.
 */
final readonly class PictureFiles
{
    private const WIDTHS = [96, 320, 640, 1280];

    /** A picture of few bytes can unpack to memory without end (CWE-409). */
    private const MOST_PIXELS = 24_000_000;

    /** Characters of a name, four bits each: enough that no two pictures of an instance meet, and every card has one. */
    private const NAME = 16;

    /** Across a picture, when its darkest and its lightest are looked for. */
    private const SPOTS = 64;

    public function __construct(private string $folder)
    {
    }

    /**
     * @param  bool  $square  cut to the middle square, for faces
     * @return array{name: string, widths: list<int>, width: int, height: int, colour: string, extremes: list<string>}
     *
     * @throws PictureIsWrong
     */
    public function keep(string $bytes, bool $square = false): array
    {
        [$image, $type] = self::read($bytes);
        $image = $this->upright($image, $bytes, $type);
        $image = $square ? $this->squared($image) : $image;
        imagepalettetotruecolor($image);
        [$width, $height] = [imagesx($image), imagesy($image)];
        $name = substr(hash('sha256', $bytes.($square ? 'square' : '')), 0, self::NAME);
        $widths = array_values(array_filter(self::WIDTHS, fn (int $one): bool => $one < $width));
        $widths[] = min($width, self::WIDTHS[count(self::WIDTHS) - 1]);
        $widths = array_values(array_unique($widths));
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0755, true) && ! is_dir($this->folder)) {
            throw new RuntimeException("$this->folder cannot be made; the disk may be full.");
        }
        foreach ($widths as $one) {
            $scaled = $one === $width ? $image : imagescale($image, $one, max(1, (int) round($height * $one / $width)), IMG_BICUBIC);
            $file = "$this->folder/$name-$one.webp";
            if ($scaled === false || ! Durable::write($file, self::webp($scaled))) {
                throw new RuntimeException("$file cannot be written; the disk may be full.");
            }
        }
        Durable::settle($this->folder);
        $largest = max($widths);

        return ['name' => $name, 'widths' => $widths, 'width' => $largest, 'height' => max(1, (int) round($height * $largest / $width)),
            'colour' => $this->colour($image), 'extremes' => self::spots($image)];
    }

    private static function webp(GdImage $image): string
    {
        ob_start();
        imagewebp($image, null, 82);

        return (string) ob_get_clean();
    }

    /**
     * Whether the files of a picture are there, and as long as they say themselves (RIFF: the length stands behind the name).
     *
     * @param  list<int>  $widths
     * @param  bool  $thoroughly  whether each is read, too
     */
    public function areSound(string $name, array $widths, bool $thoroughly = false): bool
    {
        clearstatcache();
        foreach ($widths as $width) {
            $path = "$this->folder/$name-$width.webp";
            $head = (string) @file_get_contents($path, false, null, 0, 12);
            $length = strlen($head) === 12 && str_starts_with($head, 'RIFF') ? unpack('V', $head, 4) : false;
            if (
                $length === false || @filesize($path) !== Value::whole($length[1] ?? 0) + 8 || ($thoroughly
                    && @imagecreatefromwebp($path) === false)
            ) {
                return false;
            }
        }

        return true;
    }

    /** The mean of all its pixels, in four bits a channel: enough to stand in its place for a moment. */
    private function colour(GdImage $image): string
    {
        $one = imagescale($image, 1, 1, IMG_BILINEAR_FIXED);
        $mean = $one === false ? 0x888888 : (int) imagecolorat($one, 0, 0);

        return sprintf('#%x%x%x', ($mean >> 20) & 15, ($mean >> 12) & 15, ($mean >> 4) & 15);
    }

    /**
     * @return array{GdImage, int} and of what type it is
     *
     * @throws PictureIsWrong
     */
    private static function read(string $bytes): array
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_GIF, IMAGETYPE_WEBP, IMAGETYPE_BMP], true)) {
            throw PictureIsWrong::unreadable();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw PictureIsWrong::tooLarge($size[0], $size[1]);
        }
        $image = @imagecreatefromstring($bytes);

        return $image === false ? throw PictureIsWrong::unreadable() : [$image, $size[2]];
    }

    /**
     * Of a picture that is not kept.
     *
     * @return array{string, string} its darkest and its lightest colour
     *
     * @throws PictureIsWrong
     */
    public static function extremes(string $bytes): array
    {
        [$image] = self::read($bytes);
        imagepalettetotruecolor($image);

        return self::spots($image);
    }

    /** @return array{string, string} the darkest and the lightest of spots that are as large as a letter */
    private static function spots(GdImage $image): array
    {
        $small = imagescale($image, self::SPOTS, max(1, (int) round(self::SPOTS * imagesy($image) / imagesx($image))), IMG_BILINEAR_FIXED);
        $found = [];
        for ($y = 0, $high = $small === false ? 0 : imagesy($small); $y < $high; $y++) {
            for ($x = 0; $x < self::SPOTS && $small !== false; $x++) {
                $found[] = Colour::hex(sprintf('#%06x', (int) imagecolorat($small, $x, $y) & 0xFFFFFF));
            }
        }
        usort($found, fn (Colour $one, Colour $two): int => $one->luminance() <=> $two->luminance());

        return $found === [] ? ['#000000', '#ffffff'] : [$found[0]->toHex(), $found[count($found) - 1]->toHex()];
    }

    /** Cameras note which way up they were held, and browsers no longer can once that is gone. */
    private function upright(GdImage $image, string $bytes, int $type): GdImage
    {
        $exif = $type === IMAGETYPE_JPEG && function_exists('exif_read_data')
            ? @exif_read_data('data://image/jpeg;base64,'.base64_encode($bytes))
            : false;
        $degrees = match (is_array($exif) ? ($exif['Orientation'] ?? 1) : 1) {
            3 => 180, 6 => 270, 8 => 90, default => 0,
        };
        $turned = $degrees === 0 ? $image : imagerotate($image, $degrees, 0);

        return $turned === false ? $image : $turned;
    }

    private function squared(GdImage $image): GdImage
    {
        $side = min(imagesx($image), imagesy($image));
        $cut = imagecrop(
            $image,
            ['x' => intdiv(imagesx($image) - $side, 2), 'y' => intdiv(imagesy($image) - $side, 2), 'width' => $side, 'height' => $side],
        );

        return $cut === false ? $image : $cut;
    }
}
