<?php

declare(strict_types=1);

// Everything that an instance keeps lies in one folder: its settings (.env), database, editions, logs and sessions.
// GNOMIC_DATA names it; without that, it is var/site, or the demo's where only that is there.

return (static function (): string {
    $named = getenv('GNOMIC_DATA');
    if (is_string($named) && $named !== '') {
        return $named;
    }
    $var = dirname(__DIR__).'/var';

    return ! is_dir("$var/site") && is_dir("$var/demo") ? "$var/demo" : "$var/site";
})();
