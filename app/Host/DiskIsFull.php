<?php

declare(strict_types=1);

namespace App\Host;

use Throwable;

/**
 * Whether something failed for want of room: SQLite says so in its words (result codes 13, and 10 and 14 where not even its
 * own side files could be made), PHP's streams in those of the system (ENOSPC and EDQUOT of errno(3)).
 */
final class DiskIsFull
{
    private const WORDS = '/disk (?:is|may be) full|disk I\/O error|unable to open database file|No space left on device'
        .'|out of free disk space|Disk quota exceeded/i';

    public const MESSAGE = 'Gnomic cannot write to its disk: the disk is full or read-only. What is on your pages stays there. '
        .'Free some disk space, then try again.';

    public static function caused(?Throwable $fault): bool
    {
        for ($one = $fault; $one !== null; $one = $one->getPrevious()) {
            if (preg_match(self::WORDS, $one->getMessage()) === 1) {
                return true;
            }
        }

        return false;
    }
}
