<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\Request;

/** A parameter that is one text; anything else that was sent by its name is none. */
final class PlainText
{
    public static function of(Request $request, string $name): string
    {
        $given = $request->input($name);

        return is_string($given) && mb_check_encoding($given, 'UTF-8') ? $given : '';
    }
}
