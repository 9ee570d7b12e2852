<?php

declare(strict_types=1);

namespace Standins;

/** A plain public page of a service: what people see and copy the address of. */
final class Page
{
    public static function of(string $service, string $title, string $text): Answer
    {
        return new Answer(
            200,
            'text/html; charset=utf-8',
            '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>'.htmlspecialchars("$title · $service")
                .'</title></head><body><main><h1>'.htmlspecialchars($title).'</h1><p>'.htmlspecialchars($text)
                .'</p></main></body></html>',
        );
    }

    public static function missing(string $service): Answer
    {
        return new Answer(
            404,
            'text/html; charset=utf-8',
            "<!doctype html><html lang=\"en\"><title>$service</title><p>There is nothing at this address.",
        );
    }
}
