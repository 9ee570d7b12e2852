<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

/**
 * How colours look to eyes that lack one kind of cones: Machado, Oliveira and Fernandes, "A Physiologically-based Model for Simulation
 * of Color Vision Deficiency", 2009, severity 1.0, applied to linear light.
 */
enum ColourVision: string
{
    case Protan = 'red';
    case Deutan = 'green';
    case Tritan = 'blue';

    public function spoken(): string
    {
        return "to eyes that cannot see $this->value";
    }

    public function seen(Colour $colour): Colour
    {
        [$red, $green, $blue] = $colour->toLinear();
        $seen = [];
        foreach (match ($this) {
            self::Protan => [[0.152286, 1.052583, -0.204868], [0.114503, 0.786281, 0.099216], [-0.003882, -0.048116, 1.051998]],
            self::Deutan => [[0.367322, 0.860646, -0.227968], [0.280085, 0.672501, 0.047413], [-0.011820, 0.042940, 0.968881]],
            self::Tritan => [[1.255528, -0.076749, -0.178779], [-0.078411, 0.930809, 0.147602], [0.004733, 0.691367, 0.303900]],
        } as $by) {
            $seen[] = max(0.0, $by[0] * $red + $by[1] * $green + $by[2] * $blue);
        }

        return Colour::linear($seen, $colour->alpha);
    }
}
