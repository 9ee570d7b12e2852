<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Illuminate\Http\Request;
use stdClass;

/** The brief in the body of a request, read as it was written: an empty object is no empty list. */
final class BriefBody
{
    /** @throws BriefIsWrong */
    public static function of(Request $request, string $member = 'brief'): Brief
    {
        $body = json_decode((string) $request->getContent());

        return BriefReader::read(
            $body instanceof stdClass && property_exists($body, $member)
                ? $body->{$member}
                : $request->input($member),
        );
    }
}
