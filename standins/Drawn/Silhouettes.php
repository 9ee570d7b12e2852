<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** What stands dark against the sky, wherever it is. */
final class Silhouettes
{
    public static function person(Sheet $sheet, float $x, float $foot, float $tall): void
    {
        $wide = $tall * 0.34 / $sheet->ratio();
        $sheet->shape([
            [$x - $wide * 0.5, $foot], [$x - $wide * 0.62, $foot - $tall * 0.5], [$x - $wide * 0.4, $foot - $tall * 0.78],
            [$x + $wide * 0.4, $foot - $tall * 0.78], [$x + $wide * 0.62, $foot - $tall * 0.5], [$x + $wide * 0.5, $foot],
        ], '060508');
        $sheet->disc($x + $wide * 0.1, $foot - $tall * 0.89, $tall * 0.24 / $sheet->ratio(), '060508');
        // A hem of red on the side of the lamp.
        $sheet->line($x + $wide * 0.55, $foot - $tall * 0.5, $x + $wide * 0.48, $foot - $tall * 0.06, 'a82a20', 0.5, 3);
    }

    /** The dome, its slot lit from within or not. @param  float  $wide  share of the width */
    public static function dome(Sheet $sheet, float $x, float $foot, float $wide, string $colour, bool $lit): void
    {
        $high = $wide * $sheet->ratio();
        $sheet->shape([[$x - $wide / 2, $foot + 0.02], [$x - $wide / 2, $foot - $high * 0.34], [$x + $wide / 2, $foot - $high * 0.34], [$x + $wide / 2, $foot + 0.02]], $colour);
        $sheet->disc($x, $foot - $high * 0.34, $wide * 0.98, $colour);
        $sheet->arc($x, $foot - $high * 0.34, $wide * 0.97, 200, 340, '8a90b0', 0.35, 3);
        if ($lit) {
            $points = [];
            foreach ([[0.03, 0.02], [0.02, 0.3], [0.05, 0.49], [0.14, 0.475], [0.115, 0.3], [0.11, 0.02]] as [$across, $up]) {
                $points[] = [$x + $wide * $across, $foot - $high * (0.34 + $up)];
            }
            $sheet->shape($points, 'f4c878', 0.95);
            $sheet->glow($x + $wide * 0.08, $foot - $high * 0.62, $wide * 0.7, 'f4b860', 0.35);
        }
        $sheet->shape([[$x - $wide * 0.08, $foot + 0.02], [$x - $wide * 0.08, $foot - $high * 0.16], [$x + $wide * 0.02, $foot - $high * 0.16], [$x + $wide * 0.02, $foot + 0.02]], 'c83a28', 0.55);
    }
}
