<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\Folder;
use Gnomic\Dress\Look;
use Gnomic\Dress\Looks;

/** The looks that there are: one file each, in resources/looks; in earlier/ as they were up to the third form of briefs. */
final class LookFiles
{
    private ?Looks $looks = null;

    public function __construct(private readonly string $folder)
    {
    }

    public function all(): Looks
    {
        if ($this->looks === null) {
            $this->looks = new Looks(self::read($this->folder, ''), self::read("$this->folder/earlier", '-3'));
        }

        return $this->looks;
    }

    /** @return array<string, Look> by key */
    private static function read(string $folder, string $behind): array
    {
        $looks = [];
        foreach (Folder::paths("$folder/*.json") as $file) {
            $key = basename($file, '.json').$behind;
            $looks[$key] = Look::read($key, json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR));
        }

        return $looks;
    }
}
