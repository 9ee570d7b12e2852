<?php

declare(strict_types=1);

namespace App\Host;

/** What lies in a folder: nothing where the folder is not there. */
final class Folder
{
    /** @return list<string> names, hidden ones too */
    public static function names(string $folder): array
    {
        $names = @scandir($folder);

        return $names === false ? [] : array_values(array_diff($names, ['.', '..']));
    }

    /** @return list<string> paths that fit a pattern of the shell */
    public static function paths(string $pattern): array
    {
        $paths = glob($pattern);

        return $paths === false ? [] : $paths;
    }
}
