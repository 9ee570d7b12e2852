<?php

declare(strict_types=1);

namespace App\Placing;

use Random\Randomizer;

/** Keys of widgets and spots. */
final readonly class WidgetKeys
{
    /** None that is taken for another. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    public function __construct(private Randomizer $chance)
    {
    }

    /** Ten of these are enough that no two ever share a key, and that none can be guessed. */
    public function new(): string
    {
        return implode('', array_map(fn (): string => self::LETTERS[$this->chance->getInt(0, strlen(self::LETTERS) - 1)], range(1, 10)));
    }
}
