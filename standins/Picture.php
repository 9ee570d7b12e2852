<?php

declare(strict_types=1);

namespace Standins;

use Standins\Drawn\Faces;
use Standins\Drawn\Sheet;
use Standins\Drawn\Subjects;

/** What people photograph, drawn by chance with a seed: the same name gives the same picture, and its subject where it names one. */
final class Picture
{
    /** @param  string  $name  "sky-moon-12", "face-7"; where it names no subject, one is drawn by chance */
    public static function of(string $name, int $width): Answer
    {
        $seed = crc32($name);
        $isFace = str_starts_with($name, 'face-');
        $named = array_intersect(explode('-', $name), array_keys(Subjects::ALL));
        $subject = $named === [] ? array_keys(Subjects::ALL)[$seed % count(Subjects::ALL)] : (string) reset($named);
        $sheet = new Sheet($width, max(1, (int) round($width / self::ratio($name, $subject))), $seed);
        $isFace ? Faces::draw($sheet) : Subjects::draw($subject, $sheet);

        return new Answer(200, 'image/png', $sheet->png(), ['Cache-Control' => 'max-age=86400']);
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
