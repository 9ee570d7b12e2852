<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** People as they draw themselves: simple, various, each with some dignity. */
final class Faces
{
    private const SKIN = ['f2cfb4', 'e6b795', 'd09c74', 'b07a50', '8a5a3a', '6a4028', 'f6dcc6'];

    private const HAIR = ['2a1e18', '4a3020', '7a5030', 'b08a50', 'd8c8b0', '8a8a8e', '15151a', '9a4a28'];

    private const BEHIND = ['dfe6ea', 'e9dfd0', 'd8e2d6', 'e2d8e6', 'd0dce6', 'efe0da', 'c9d2cf'];

    private const CLOTHES = ['2a4a6a', '6a2a3a', '2f5a48', '5a4a7a', 'a06a2a', '3a3a44', '8a3a2a'];

    public static function draw(Sheet $sheet): void
    {
        $one = fn (array $of): string => $of[$sheet->chance->getInt(0, count($of) - 1)];
        [$skin, $hair, $behind, $clothes] = [$one(self::SKIN), $one(self::HAIR), $one(self::BEHIND), $one(self::CLOTHES)];
        $sheet->ground([$behind, $behind]);
        $style = $sheet->chance->getInt(0, 5);
        if ($style === 1 || $style === 4) {
            // Long hair, behind the shoulders.
            $sheet->oval(0.5, 0.5, 0.56, $style === 1 ? 0.74 : 0.62, $hair);
        }
        $sheet->oval(0.5, 1.06, 0.86, 0.62, $clothes);
        $sheet->oval(0.5, 0.74, 0.2, 0.28, $skin);
        $sheet->oval(0.5, 0.79, 0.3, 0.12, $clothes, 0.35);
        $sheet->oval(0.5, 0.46, 0.38, 0.48, $skin);
        match ($style) {
            0 => self::cap($sheet, $hair, 0.27, 0.4),
            1, 4 => self::fringe($sheet, $hair),
            2 => self::hat($sheet, $one(self::CLOTHES)),
            3 => self::scarf($sheet, $one(self::CLOTHES)),
            default => self::cap($sheet, $hair, 0.3, 0.42),
        };
        foreach ([-1, 1] as $side) {
            $sheet->oval(0.5 + 0.08 * $side, 0.47, 0.032, 0.036, '241c1c');
            $sheet->arc(0.5 + 0.08 * $side, 0.425, 0.08, 200, 340, '241c1c', 0.6, 3);
        }
        $sheet->arc(0.5, 0.52, 0.05, 20, 160, '000000', 0.25, 3);
        $sheet->arc(0.5, 0.565, 0.14, 25, 155, '7a2a2a', 0.75, 4);
        if ($sheet->chance->getInt(0, 3) === 0) {
            foreach ([-1, 1] as $side) {
                $sheet->arc(0.5 + 0.085 * $side, 0.47, 0.13, 0, 360, '20242c', 0.9, 4);
            }
            $sheet->line(0.48, 0.47, 0.52, 0.47, '20242c', 0.9, 4);
        }
        if ($style === 0 && $sheet->chance->getInt(0, 1) === 0) {
            $sheet->oval(0.5, 0.645, 0.27, 0.14, $hair, 0.92);
            $sheet->arc(0.5, 0.6, 0.12, 20, 160, 'd8a090', 0.9, 4);
        }
    }

    private static function cap(Sheet $sheet, string $hair, float $y, float $wide): void
    {
        $points = [];
        for ($angle = 180; $angle <= 360; $angle += 10) {
            $points[] = [0.5 + $wide / 2 * 1.02 * cos(deg2rad($angle)), $y + 0.14 + 0.25 * sin(deg2rad($angle))];
        }
        $points[] = [0.67, 0.36];
        $points[] = [0.33, 0.36];
        $sheet->shape($points, $hair);
    }

    private static function fringe(Sheet $sheet, string $hair): void
    {
        self::cap($sheet, $hair, 0.28, 0.44);
        $sheet->shape([[0.3, 0.34], [0.7, 0.34], [0.69, 0.42], [0.6, 0.36], [0.42, 0.38], [0.31, 0.44]], $hair);
    }

    private static function hat(Sheet $sheet, string $colour): void
    {
        $sheet->oval(0.5, 0.27, 0.42, 0.28, $colour);
        $sheet->shape([[0.28, 0.27], [0.72, 0.27], [0.72, 0.36], [0.28, 0.36]], $colour);
        $sheet->shape([[0.28, 0.31], [0.72, 0.31], [0.72, 0.36], [0.28, 0.36]], 'ffffff', 0.25);
        $sheet->disc(0.5, 0.12, 0.08, 'ffffff', 0.85);
    }

    private static function scarf(Sheet $sheet, string $colour): void
    {
        for ($angle = 150; $angle <= 390; $angle += 6) {
            $sheet->disc(0.5 + 0.205 * cos(deg2rad($angle)), 0.45 + 0.25 * sin(deg2rad($angle)), 0.11, $colour);
        }
        $sheet->oval(0.5, 0.76, 0.4, 0.18, $colour);
    }
}
