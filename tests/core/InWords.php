<?php

declare(strict_types=1);

namespace Tests\core;

use Gnomic\Text\Catalogue;

/** The words for visitors, as they are shipped. */
trait InWords
{
    private static function words(string $language = 'en'): Catalogue
    {
        return Catalogue::read(json_decode((string) file_get_contents(dirname(__DIR__, 2)."/resources/words/$language.json"), true));
    }
}
