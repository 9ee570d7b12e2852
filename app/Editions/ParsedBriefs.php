<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use Gnomic\Brief\Brief;

/** Published briefs, each parsed once by a worker, however often the outbox asks for it. */
final class ParsedBriefs
{
    /** Beyond, all are forgotten: a worker looks after many sites. */
    private const MOST = 5_000;

    /** @var array<string, Brief> by what is written */
    private array $parsed = [];

    public function of(Edition $edition): Brief
    {
        $written = hash('xxh128', json_encode($edition->brief, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
        if (count($this->parsed) >= self::MOST) {
            $this->parsed = [];
        }

        return $this->parsed[$written] ??= $edition->toBrief();
    }
}
