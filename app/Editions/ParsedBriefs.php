<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use Gnomic\Brief\Brief;
use Gnomic\Memo;

/** Published briefs, each parsed once by a worker, however often the outbox asks for it. */
final readonly class ParsedBriefs
{
    /** A worker looks after many sites. */
    private const MOST = 5_000;

    /** By what is written. */
    private Memo $parsed;

    public function __construct()
    {
        $this->parsed = new Memo(self::MOST);
    }

    public function of(Edition $edition): Brief
    {
        $written = hash('xxh128', json_encode($edition->brief, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));

        return $this->parsed->of($written, $edition->toBrief(...));
    }
}
