<?php

declare(strict_types=1);

namespace App\Editions;

use Symfony\Component\Finder\Finder;

/** Another wherever a file of a folder is another: tells a new version of templates and styles. */
final class FolderDigest
{
    public static function of(string $folder): string
    {
        $digest = hash_init('xxh128');
        foreach (Finder::create()->files()->in($folder)->sortByName() as $file) {
            hash_update($digest, $file->getRelativePathname()."\0".$file->getContents()."\0");
        }

        return hash_final($digest);
    }
}
