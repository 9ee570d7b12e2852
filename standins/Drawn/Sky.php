<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** What is seen in the sky: each drawn by chance, so that no two are alike. */
final class Sky
{
    public static function nebula(Sheet $sheet): void
    {
        $sheet->ground(['02030a', '05060f']);
        $sheet->stars(260);
        $kinds = [['1a0a2a', '6a1f5a', 'd8587a', 'ffd9a8'], ['05202a', '0f5c66', '5fc0b0', 'f2ead0'], ['14102e', '37308a', '8f6fd0', 'ffd0e0'], ['200808', '7a2a18', 'e08a4a', 'ffe6c0']];
        $kind = $kinds[$sheet->chance->getInt(0, 3)];
        $middle = $sheet->between(0.4, 0.6);
        $sheet->clouds($kind, 0.95, $middle, 0.62);
        $sheet->clouds([$kind[1], $kind[2], $kind[3]], 0.6, $middle, 0.34);
        $sheet->clouds(['000000', '050208', '080410'], 0.75, $sheet->between(0.3, 0.8), 0.3);
        $sheet->stars(150);
        foreach (range(1, 3) as $bright) {
            [$x, $y] = [$sheet->between(0.2, 0.8), $sheet->between(0.2, 0.8)];
            $sheet->glow($x, $y, 0.035 / $bright + 0.012, 'ffffff', 1.4);
            $sheet->line($x - 0.03, $y, $x + 0.03, $y, 'ffffff', 0.35);
            $sheet->line($x, $y - 0.03 * $sheet->ratio(), $x, $y + 0.03 * $sheet->ratio(), 'ffffff', 0.35);
        }
    }

    public static function moon(Sheet $sheet): void
    {
        $sheet->ground(['04050a', '0b0f1e']);
        $sheet->stars(70);
        $phase = [-0.62, -0.3, 0.18, 0.55, 0.82][$sheet->chance->getInt(0, 4)];
        $size = 0.66;
        $sheet->glow(0.5, 0.5, 1.1, '8a90b0', 0.25);
        $sheet->disc(0.5, 0.5, $size, 'e8e2d2');
        // Seas, then craters with a rim to the light.
        for ($sea = 0; $sea < 9; $sea++) {
            [$turn, $far] = [$sheet->between(0, 6.28), $sheet->between(0, 0.21)];
            $sheet->oval(0.5 + $far * cos($turn), 0.5 + $far * sin($turn), $sheet->between(0.06, 0.17), $sheet->between(0.05, 0.14), '9a958c', 0.42);
        }
        for ($crater = 0; $crater < 70; $crater++) {
            [$turn, $far] = [$sheet->between(0, 6.28), 0.315 * sqrt($sheet->between(0, 1))];
            [$x, $y, $wide] = [0.5 + $far * cos($turn), 0.5 + $far * sin($turn), $sheet->between(0.006, 0.034)];
            $sheet->oval($x, $y, $wide, $wide * 0.9, 'b9b3a6', 0.7);
            $sheet->oval($x + $wide * 0.14, $y + $wide * 0.1, $wide * 0.8, $wide * 0.7, 'f3eee2', 0.55);
        }
        // The night side: many thin shades, so that the edge between day and night is soft.
        for ($shade = 0; $shade < 14; $shade++) {
            $edge = $phase - 0.02 * $shade;
            $points = [];
            for ($angle = -90; $angle <= 90; $angle += 5) {
                $points[] = [0.5 + ($size / 2 + 0.004) * cos(deg2rad($angle)) * $edge, 0.5 + ($size / 2 + 0.004) * sin(deg2rad($angle))];
            }
            for ($angle = 90; $angle >= -90; $angle -= 5) {
                $points[] = [0.5 - ($size / 2 + 0.004) * cos(deg2rad($angle)), 0.5 + ($size / 2 + 0.004) * sin(deg2rad($angle))];
            }
            $sheet->shape($points, '05070d', $shade === 13 ? 0.85 : 0.16);
        }
    }

    public static function trails(Sheet $sheet): void
    {
        $sheet->ground(['060818', '14204a', '3b3f6a']);
        [$x, $y] = [$sheet->between(0.35, 0.65), $sheet->between(0.34, 0.5)];
        $colours = ['ffffff', 'cfd8ff', 'ffe6c4', 'bcd0ff', 'ffd0b0'];
        for ($trail = 0; $trail < 190; $trail++) {
            $from = $sheet->chance->getInt(0, 359);
            $sheet->arc($x, $y, 0.02 + 2.6 * ($trail / 190) ** 1.1, $from, $from + $sheet->chance->getInt(46, 62), $colours[$trail % 5], $sheet->between(0.25, 0.85));
        }
        $sheet->disc($x, $y, 0.006, 'ffffff');
        $sheet->hill(0.14, 0.03, '05060b');
        Silhouettes::dome($sheet, $sheet->between(0.25, 0.7), 0.86, 0.24, '0a0c14', true);
    }

    public static function planet(Sheet $sheet): void
    {
        $sheet->ground(['020308', '070a16']);
        $sheet->stars(60);
        $tints = [['d9b98a', 'b98d5a', 'f0dcb4'], ['c9c2d8', '8f86b0', 'eae4f4'], ['a9c4c9', '6f949c', 'dfeff0']];
        [$body, $band, $light] = $tints[$sheet->chance->getInt(0, 2)];
        $tilt = $sheet->between(0.22, 0.4);
        $size = $sheet->between(0.28, 0.36);
        foreach ([2.3, 2.18, 2.06, 1.92, 1.8, 1.66, 1.52] as $ring => $wide) {
            $sheet->arc(0.5, 0.5, $size * $wide, 180, 360, $ring === 3 ? '20242e' : $light, $ring === 3 ? 0.9 : 0.75 - $ring * 0.06, 11, $tilt);
        }
        $sheet->disc(0.5, 0.5, $size, $body);
        for ($stripe = -6; $stripe <= 6; $stripe++) {
            $y = $stripe * 0.07;
            $wide = $size * sqrt(max(0.0, 1 - ($y * 2) ** 2)) * 0.985;
            $sheet->oval(0.5, 0.5 + $y * $size * $sheet->ratio(), $wide, $size * $sheet->between(0.025, 0.06), $stripe % 2 === 0 ? $band : $light, 0.4);
        }
        foreach ([2.3, 2.18, 2.06, 1.92, 1.8, 1.66, 1.52] as $ring => $wide) {
            $sheet->arc(0.5, 0.5, $size * $wide, 0, 180, $ring === 3 ? '20242e' : $light, $ring === 3 ? 0.9 : 0.85 - $ring * 0.06, 11, $tilt);
        }
        foreach ([0.12, 0.83, 0.91] as $moon) {
            $sheet->disc($moon, 0.5 + $sheet->between(-0.06, 0.06), 0.008, 'ffffff', 0.9);
        }
    }

    public static function aurora(Sheet $sheet): void
    {
        $sheet->ground(['04060f', '081a24', '123a3a']);
        $sheet->stars(170, 0.8);
        $tints = [['0a4a40', '3fc890', 'c8ffd8'], ['3a1a5a', '6fd0a0', 'e0ffe0']];
        $tint = $tints[$sheet->chance->getInt(0, 1)];
        foreach ([0.35, 0.5, 0.62] as $middle) {
            $sheet->clouds($tint, 0.7, $middle, $sheet->between(0.14, 0.26));
        }
        for ($ray = 0; $ray < 70; $ray++) {
            $x = $sheet->between(0, 1);
            $low = 0.62 + 0.06 * sin($x * 7);
            $sheet->line($x, $low, $x + 0.01, $low - $sheet->between(0.15, 0.5), $tint[1], 0.07, 14);
        }
        $sheet->hill(0.2, 0.03, '06120f');
        $sheet->hill(0.12, 0.02, '030806');
        Silhouettes::person($sheet, $sheet->between(0.2, 0.4), 0.9, 0.13);
        Silhouettes::person($sheet, $sheet->between(0.42, 0.5), 0.9, 0.11);
    }

    public static function panorama(Sheet $sheet): void
    {
        $sheet->ground(['03050d', '0c1430', '2c2f58', '5a4a66']);
        $sheet->stars(520, 0.9);
        $sheet->clouds(['141a36', '4a4a7a', 'c8b8d8', 'fff0dc'], 0.95, 0.42, 0.34);
        $sheet->clouds(['000000', '04040c', '060610'], 0.7, 0.44, 0.12);
        $sheet->stars(260, 0.85);
        $sheet->hill(0.22, 0.06, '11142a', 0.9);
        $sheet->hill(0.13, 0.04, '06070f');
        Silhouettes::dome($sheet, $sheet->between(0.6, 0.8), 0.88, 0.07, '090b16', true);
    }

    public static function cluster(Sheet $sheet): void
    {
        $sheet->ground(['02030a', '060818']);
        $sheet->stars(220);
        $sheet->glow(0.5, 0.5, 0.8, '6a78c0', 0.22);
        $tints = ['ffffff', 'cfe0ff', 'ffe8c8', 'ffd0a0', 'bcd0ff'];
        for ($star = 0; $star < 700; $star++) {
            [$turn, $far] = [$sheet->between(0, 6.28), 0.42 * $sheet->between(0, 1) ** 2.1];
            $sheet->disc(0.5 + $far * cos($turn), 0.5 + $far * sin($turn), $sheet->between(0.0022, 0.0075), $tints[$star % 5], $sheet->between(0.5, 1));
        }
        foreach (range(0, 4) as $bright) {
            $sheet->glow($sheet->between(0.3, 0.7), $sheet->between(0.3, 0.7), 0.05, $tints[$bright], 1.0);
        }
    }
}
