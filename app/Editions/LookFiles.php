<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\Folder;
use Gnomic\Dress\Look;
use Gnomic\Dress\Looks;

/** The looks that there are: one file each, in resources/looks. */
final class LookFiles
{
    private ?Looks $looks = null;

    public function __construct(private readonly string $folder)
    {
    }

    public function all(): Looks
    {
        if ($this->looks === null) {
            $looks = [];
            foreach (Folder::paths("$this->folder/*.json") as $file) {
                $key = basename($file, '.json');
                $looks[$key] = Look::read($key, json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR));
            }
            $this->looks = new Looks($looks);
        }

        return $this->looks;
    }
}
