<?php

declare(strict_types=1);

namespace Standins\Drawn;

/** What is looked at by day: charts and dials. */
final class Instruments
{
    /** An engraved chart of the sky on old paper. */
    public static function chart(Sheet $sheet): void
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
    public static function dial(Sheet $sheet): void
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
}
