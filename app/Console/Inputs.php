<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Gnomic\Text\Echoed;
use InvalidArgumentException;

/** What commands take from files and from standard input. */
final class Inputs
{
    /** @throws InvalidArgumentException */
    public static function contents(string $path): string
    {
        if (is_dir($path)) {
            throw new InvalidArgumentException(Echoed::short($path).' is a folder. Name a file in it.');
        }
        $contents = $path === '-' ? stream_get_contents(STDIN) : (is_file($path) ? @file_get_contents($path) : false);

        return $contents === false
            ? throw new InvalidArgumentException('There is no file '.Echoed::short($path).' that can be read.')
            : $contents;
    }

    /** @throws InvalidArgumentException|BriefIsWrong */
    public static function brief(string $path): Brief
    {
        return BriefReader::fromJson(self::contents($path));
    }
}
