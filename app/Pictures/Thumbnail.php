<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;

/** A small picture to look at before anything is connected: fetched, written anew, and handed on within the answer. */
final readonly class Thumbnail
{
    private const WIDTH = 96;

    public function __construct(private Fetcher $fetcher)
    {
    }

    /** @return string|null a data address; null where the picture cannot be had, which is no failure */
    public function of(string $url): ?string
    {
        try {
            $answer = $this->fetcher->get($url);
        } catch (FetchFailed) {
            return null;
        }
        $size = $answer->isOk() ? @getimagesizefromstring($answer->body) : false;
        if ($size === false || $size[0] * $size[1] > 4_000_000) {
            return null;
        }
        $image = @imagecreatefromstring($answer->body);
        $small = $image === false ? false : imagescale($image, self::WIDTH);
        if ($small === false) {
            return null;
        }
        ob_start();
        imagewebp($small, null, 75);

        return 'data:image/webp;base64,'.base64_encode((string) ob_get_clean());
    }
}
