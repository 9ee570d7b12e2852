<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** What is seen on the hill itself. */
final class Hill
{
    private const NIGHT = [['05070f', '101a38', '2b3560'], ['04060c', '14122b', '3a2850'], ['030a12', '0c2435', '1d4a5c'], ['06070d', '1a1a30', '4a3442']];

    /** People around a telescope, by a red lamp. */
    public static function people(Sheet $sheet): void
    {
        $sheet->ground(self::NIGHT[$sheet->chance->getInt(0, 3)]);
        $sheet->stars(240, 0.8);
        $sheet->clouds(['1a1e3a', '5a5a86', 'c9c2e0'], 0.5, 0.3, 0.3);
        $lamp = $sheet->between(0.4, 0.6);
        $sheet->glow($lamp, 0.84, 0.7, 'b0201a', 0.5);
        $sheet->hill(0.13, 0.012, '07060a');
        // A telescope on three legs.
        $sheet->line($lamp, 0.88, $lamp - 0.035, 0.66, '050408', 1.0, 9);
        $sheet->line($lamp + 0.04, 0.89, $lamp - 0.02, 0.66, '050408', 1.0, 7);
        $sheet->line($lamp - 0.07, 0.89, $lamp - 0.03, 0.66, '050408', 1.0, 7);
        $sheet->line($lamp - 0.07, 0.74, $lamp + 0.09, 0.5, '050408', 1.0, 26);
        foreach ([-0.3, -0.21, -0.12, 0.17, 0.27] as $place => $off) {
            $tall = [0.2, 0.24, 0.15, 0.23, 0.17][$place] + $sheet->between(-0.015, 0.015);
            Silhouettes::person($sheet, $lamp + $off + $sheet->between(-0.02, 0.02), 0.89, $tall);
        }
        $sheet->disc($lamp + 0.02, 0.86, 0.012, 'ff5a48');
        $sheet->glow($lamp + 0.02, 0.86, 0.09, 'ff4030', 0.9);
    }

    public static function dome(Sheet $sheet): void
    {
        $hours = [['0a1030', '2a3a78', 'd0807a', 'f2b890'], ['081430', '1f4a7a', '5a8fb0'], ['0a0a22', '3a2a5a', '9a5a6a']];
        $sheet->ground($hours[$sheet->chance->getInt(0, 2)]);
        $sheet->stars(90, 0.55);
        $sheet->hill(0.26, 0.03, '1a1c30', 0.75);
        $sheet->hill(0.15, 0.02, '0a0b14');
        Silhouettes::dome($sheet, $sheet->between(0.4, 0.6), 0.87, 0.44, '0c0e1a', true);
    }

    public static function fog(Sheet $sheet): void
    {
        $dawns = [['1a2448', '5a5a86', 'd8a0a0', 'f6d8b8'], ['0c1430', '2a4060', '8aa8b8', 'dfe8e4']];
        $sheet->ground($dawns[$sheet->chance->getInt(0, 1)]);
        $sheet->stars(50, 0.4);
        foreach ([[0.46, '6a6f96'], [0.36, '4a5078'], [0.27, '2f3558']] as [$height, $colour]) {
            $sheet->hill($height, 0.06, $colour, 0.8);
            $sheet->clouds(['cfd4e4', 'e6e8f0', 'f6f4f2'], 0.55, 1.05 - $height, 0.16);
        }
        $sheet->hill(0.12, 0.05, '141830');
        Silhouettes::dome($sheet, $sheet->between(0.55, 0.78), 0.88, 0.13, '0e1124', true);
        $sheet->clouds(['dfe2ec', 'eef0f4', 'fbfaf8'], 0.6, 0.98, 0.13);
    }

    public static function mast(Sheet $sheet): void
    {
        $sheet->ground(self::NIGHT[$sheet->chance->getInt(0, 3)]);
        $sheet->stars(170, 0.9);
        if ($sheet->chance->getInt(0, 1) === 1) {
            $sheet->glow(0.62, 0.34, 0.62, 'e8d8b0', 0.5);
            $sheet->disc(0.62, 0.34, 0.3, 'f2e6c8');
            $sheet->oval(0.58, 0.33, 0.09, 0.06, 'cfc2a0', 0.6);
            $sheet->oval(0.67, 0.37, 0.07, 0.08, 'cfc2a0', 0.6);
            foreach (range(0, 8) as $goose) {
                [$x, $y] = [0.3 + 0.05 * $goose, 0.3 + 0.012 * abs($goose - 4) + 0.01 * $goose];
                $sheet->line($x - 0.016, $y - 0.008, $x, $y, '0a0a10', 1.0, 4);
                $sheet->line($x, $y, $x + 0.016, $y - 0.008, '0a0a10', 1.0, 4);
            }
        } else {
            $sheet->line(0.16, 0.12, 0.56, 0.3, 'ffffff', 0.85, 4);
            $sheet->line(0.3, 0.183, 0.56, 0.3, 'ffffff', 0.5, 9);
            $sheet->glow(0.56, 0.3, 0.09, 'ffffff', 1.0);
        }
        $sheet->hill(0.14, 0.02, '05060c');
        foreach ([-1, 1] as $side) {
            $sheet->line(0.34 + 0.05 * $side, 0.88, 0.34, 0.42, '05060c', 1.0, 6);
        }
        for ($rung = 0; $rung < 9; $rung++) {
            $y = 0.46 + 0.045 * $rung;
            $wide = 0.05 * ($y - 0.42) / 0.46;
            $sheet->line(0.34 - $wide, $y, 0.34 + $wide, $y + 0.03, '05060c', 1.0, 4);
            $sheet->line(0.34 + $wide, $y, 0.34 - $wide, $y + 0.03, '05060c', 1.0, 4);
        }
        $sheet->glow(0.34, 0.42, 0.05, 'ff3a28', 1.2);
    }
}
