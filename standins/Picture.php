<?php

declare(strict_types=1);

namespace Standins;

use Standins\Drawn\Faces;
use Standins\Drawn\Sheet;
use Standins\Drawn\Subjects;

/** What people photograph, drawn by chance with a seed: the same name gives the same picture, and its subject where it names one. */
final class Picture
{
    /** Pixels that faces are wide at most. */
    private const FACE = 200;

    /** @param  string  $name  "sky-moon-12", "face-7"; where it names no subject, one is drawn by chance */
    public static function of(string $name, int $width): Answer
    {
        $width = str_starts_with($name, 'face-') ? min(self::FACE, $width) : $width;
        $file = self::folder()."/$name-$width.png";
        if (! is_file($file)) {
            $new = $file.'.'.getmypid();
            file_put_contents($new, self::drawn($name, $width));
            rename($new, $file);
        }

        return new Answer(200, 'image/png', (string) file_get_contents($file), ['Cache-Control' => 'max-age=86400']);
    }

    private static function drawn(string $name, int $width): string
    {
        $seed = crc32($name);
        $named = array_intersect(explode('-', $name), array_keys(Subjects::ALL));
        $subject = $named === [] ? array_keys(Subjects::ALL)[$seed % count(Subjects::ALL)] : (string) reset($named);
        $sheet = new Sheet($width, max(1, (int) round($width / self::ratio($name, $subject))), $seed);
        str_starts_with($name, 'face-') ? Faces::draw($sheet) : Subjects::draw($subject, $sheet);

        return $sheet->png();
    }

    /** Where those lie that were drawn once: another as soon as anything is drawn otherwise. */
    private static function folder(): string
    {
        $drawing = glob(__DIR__.'/Drawn/*.php');
        $folder = sys_get_temp_dir().'/drawn-'.md5(implode('', array_map(md5_file(...), [__FILE__, ...($drawing === false ? [] : $drawing)])));
        is_dir($folder) || @mkdir($folder, 0755, true);

        return $folder;
    }

    /** Width by height. */
    public static function ratio(string $name, string $subject): float
    {
        return match (true) {
            str_starts_with($name, 'face-') => 1.0,
            str_starts_with($name, 'sky-') => Subjects::ALL[$subject] ?? 1.333,
            // Services that say how large their pictures are have them all alike.
            default => 4 / 3,
        };
    }
}
