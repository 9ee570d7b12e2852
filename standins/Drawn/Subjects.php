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

    public static function draw(string $subject, Sheet $sheet): void
    {
        match ($subject) {
            'nebula' => Sky::nebula($sheet),
            'moon' => Sky::moon($sheet),
            'trails' => Sky::trails($sheet),
            'planet' => Sky::planet($sheet),
            'aurora' => Sky::aurora($sheet),
            'panorama' => Sky::panorama($sheet),
            'cluster' => Sky::cluster($sheet),
            'people' => Hill::people($sheet),
            'fog' => Hill::fog($sheet),
            'mast' => Hill::mast($sheet),
            'chart' => Instruments::chart($sheet),
            'dial' => Instruments::dial($sheet),
            default => Hill::dome($sheet),
        };
    }
}
