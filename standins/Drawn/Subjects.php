<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** What there is to be seen from the hill: each drawn by chance, so that no two are alike. */
final class Subjects
{
    /** Width by height that each is taken in. */
    public const ALL = [
        'nebula' => 1.25, 'moon' => 1.0, 'trails' => 0.8, 'planet' => 1.333, 'people' => 1.5, 'dome' => 0.8, 'fog' => 1.778, 'chart' => 1.0,
        'dial' => 1.0, 'aurora' => 1.6, 'panorama' => 2.8, 'mast' => 0.75, 'cluster' => 1.0,
    ];

    private const NIGHT = [['05070f', '101a38', '2b3560'], ['04060c', '14122b', '3a2850'], ['030a12', '0c2435', '1d4a5c'], ['06070d', '1a1a30', '4a3442']];

    public static function draw(string $subject, Sheet $sheet): void
    {
        match ($subject) {
            'nebula' => self::nebula($sheet),
            'moon' => self::moon($sheet),
            'trails' => self::trails($sheet),
            'planet' => self::planet($sheet),
            'people' => self::people($sheet),
            'fog' => self::fog($sheet),
            'chart' => self::chart($sheet),
            'dial' => self::dial($sheet),
            'aurora' => self::aurora($sheet),
            'panorama' => self::panorama($sheet),
            'mast' => self::mast($sheet),
            'cluster' => self::cluster($sheet),
            default => self::dome($sheet),
        };
    }

    private static function nebula(Sheet $sheet): void
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

    private static function moon(Sheet $sheet): void
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

    private static function trails(Sheet $sheet): void
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
        self::house($sheet, $sheet->between(0.25, 0.7), 0.86, 0.24, '0a0c14', true);
    }

    private static function planet(Sheet $sheet): void
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

    /** People around a telescope, by a red lamp. */
    private static function people(Sheet $sheet): void
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
            self::person($sheet, $lamp + $off + $sheet->between(-0.02, 0.02), 0.89, $tall);
        }
        $sheet->disc($lamp + 0.02, 0.86, 0.012, 'ff5a48');
        $sheet->glow($lamp + 0.02, 0.86, 0.09, 'ff4030', 0.9);
    }

    private static function person(Sheet $sheet, float $x, float $foot, float $tall): void
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

    private static function dome(Sheet $sheet): void
    {
        $hours = [['0a1030', '2a3a78', 'd0807a', 'f2b890'], ['081430', '1f4a7a', '5a8fb0'], ['0a0a22', '3a2a5a', '9a5a6a']];
        $sheet->ground($hours[$sheet->chance->getInt(0, 2)]);
        $sheet->stars(90, 0.55);
        $sheet->hill(0.26, 0.03, '1a1c30', 0.75);
        $sheet->hill(0.15, 0.02, '0a0b14');
        self::house($sheet, $sheet->between(0.4, 0.6), 0.87, 0.44, '0c0e1a', true);
    }

    /** The dome, its slot lit from within or not. @param  float  $wide  share of the width */
    private static function house(Sheet $sheet, float $x, float $foot, float $wide, string $colour, bool $lit): void
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

    private static function fog(Sheet $sheet): void
    {
        $dawns = [['1a2448', '5a5a86', 'd8a0a0', 'f6d8b8'], ['0c1430', '2a4060', '8aa8b8', 'dfe8e4']];
        $sheet->ground($dawns[$sheet->chance->getInt(0, 1)]);
        $sheet->stars(50, 0.4);
        foreach ([[0.46, '6a6f96'], [0.36, '4a5078'], [0.27, '2f3558']] as [$height, $colour]) {
            $sheet->hill($height, 0.06, $colour, 0.8);
            $sheet->clouds(['cfd4e4', 'e6e8f0', 'f6f4f2'], 0.55, 1.05 - $height, 0.16);
        }
        $sheet->hill(0.12, 0.05, '141830');
        self::house($sheet, $sheet->between(0.55, 0.78), 0.88, 0.13, '0e1124', true);
        $sheet->clouds(['dfe2ec', 'eef0f4', 'fbfaf8'], 0.6, 0.98, 0.13);
    }

    /** An engraved chart of the sky on old paper. */
    private static function chart(Sheet $sheet): void
    {
        $papers = [['efe6d0', 'e6d9bc'], ['10203a', '0c1830']];
        $isDark = $sheet->chance->getInt(0, 2) === 0;
        $sheet->ground($papers[$isDark ? 1 : 0]);
        $ink = $isDark ? 'c9d6f0' : '2a2a3a';
        foreach ([0.9, 0.88, 0.66, 0.44, 0.22] as $ring) {
            $sheet->arc(0.5, 0.5, $ring, 0, 360, $ink, 0.55, 2);
        }
        for ($hour = 0; $hour < 24; $hour++) {
            $turn = deg2rad($hour * 15);
            $sheet->line(0.5 + 0.11 * cos($turn), 0.5 + 0.11 * sin($turn), 0.5 + 0.44 * cos($turn), 0.5 + 0.44 * sin($turn), $ink, 0.22, 2);
            $sheet->line(0.5 + 0.44 * cos($turn), 0.5 + 0.44 * sin($turn), 0.5 + 0.465 * cos($turn), 0.5 + 0.465 * sin($turn), $ink, 0.8, 4);
        }
        for ($figure = 0; $figure < 8; $figure++) {
            [$turn, $far] = [$sheet->between(0, 6.28), $sheet->between(0.1, 0.36)];
            [$x, $y] = [0.5 + $far * cos($turn), 0.5 + $far * sin($turn)];
            for ($star = 0; $star < $sheet->chance->getInt(4, 7); $star++) {
                [$toX, $toY] = [$x + $sheet->between(-0.08, 0.08), $y + $sheet->between(-0.08, 0.08)];
                if (($toX - 0.5) ** 2 + ($toY - 0.5) ** 2 > 0.185) {
                    continue;
                }
                $sheet->line($x, $y, $toX, $toY, $ink, 0.65, 2);
                $sheet->disc($toX, $toY, $sheet->between(0.006, 0.016), $ink);
                [$x, $y] = [$toX, $toY];
            }
        }
        for ($star = 0; $star < 150; $star++) {
            [$turn, $far] = [$sheet->between(0, 6.28), 0.43 * sqrt($sheet->between(0, 1))];
            $sheet->disc(0.5 + $far * cos($turn), 0.5 + $far * sin($turn), $sheet->between(0.002, 0.006), $ink, 0.8);
        }
        $sheet->arc(0.56, 0.47, 0.6, 0, 360, $isDark ? 'e0a86a' : 'a03a28', 0.7, 3);
    }

    /** A sundial and its shadow. */
    private static function dial(Sheet $sheet): void
    {
        $stone = [['e9e2d4', 'd6cab4'], ['cfd6d8', 'b4bec2'], ['e6d4bc', 'ccb292']][$sheet->chance->getInt(0, 2)];
        $sheet->ground(['8aa0a8', '6f8a86']);
        $sheet->disc(0.5, 0.52, 0.88, '3a4448', 0.5);
        $sheet->disc(0.5, 0.5, 0.88, $stone[1]);
        $sheet->disc(0.5, 0.5, 0.84, $stone[0]);
        $sheet->arc(0.5, 0.5, 0.8, 0, 360, '3a3a40', 0.7, 3);
        $sheet->arc(0.5, 0.5, 0.66, 0, 360, '3a3a40', 0.5, 2);
        for ($hour = -30; $hour <= 210; $hour += 5) {
            $turn = deg2rad($hour + 180);
            $long = $hour % 15 === 0 ? 0.33 : 0.37;
            $sheet->line(0.5 + $long * cos($turn), 0.5 - $long * sin($turn), 0.5 + 0.4 * cos($turn), 0.5 - 0.4 * sin($turn), '3a3a40', 0.8, $hour % 15 === 0 ? 5 : 2);
        }
        $turn = $sheet->between(0.7, 2.3);
        $tip = [0.5 + 0.32 * cos($turn), 0.5 + 0.32 * sin($turn)];
        $sheet->shape([[0.5, 0.56], [0.52, 0.52], $tip], '2a2c38', 0.55);
        $sheet->shape([[0.5, 0.6], [0.5, 0.32], [0.515, 0.33], [0.52, 0.6]], '8a5a2a');
        $sheet->shape([[0.5, 0.6], [0.5, 0.32], [0.47, 0.6]], 'b07a3a');
        for ($stain = 0; $stain < 60; $stain++) {
            $sheet->oval($sheet->between(0.1, 0.9), $sheet->between(0.1, 0.9), $sheet->between(0.01, 0.05), $sheet->between(0.01, 0.03), '5a6a4a', 0.035);
        }
    }

    private static function aurora(Sheet $sheet): void
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
        self::person($sheet, $sheet->between(0.2, 0.4), 0.9, 0.13);
        self::person($sheet, $sheet->between(0.42, 0.5), 0.9, 0.11);
    }

    private static function panorama(Sheet $sheet): void
    {
        $sheet->ground(['03050d', '0c1430', '2c2f58', '5a4a66']);
        $sheet->stars(520, 0.9);
        $sheet->clouds(['141a36', '4a4a7a', 'c8b8d8', 'fff0dc'], 0.95, 0.42, 0.34);
        $sheet->clouds(['000000', '04040c', '060610'], 0.7, 0.44, 0.12);
        $sheet->stars(260, 0.85);
        $sheet->hill(0.22, 0.06, '11142a', 0.9);
        $sheet->hill(0.13, 0.04, '06070f');
        self::house($sheet, $sheet->between(0.6, 0.8), 0.88, 0.07, '090b16', true);
    }

    private static function mast(Sheet $sheet): void
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

    private static function cluster(Sheet $sheet): void
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
