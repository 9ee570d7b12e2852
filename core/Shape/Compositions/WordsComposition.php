<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;

/** What was said, large; who said it below, quieter. */
final readonly class WordsComposition extends Composition
{
    public static function name(): string
    {
        return 'words';
    }

    public static function label(): string
    {
        return 'Words first';
    }

    public static function phrase(): null
    {
        return null;
    }
}
