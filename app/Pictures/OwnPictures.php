<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;

/** Pictures that an owner hands over. Their addresses are our own and are never fetched. */
final readonly class OwnPictures
{
    private const AT = 'https://picture.invalid/';

    public function __construct(private PictureFiles $files)
    {
    }

    /**
     * @param  bool  $square  cut to the middle square, for faces
     * @return string the address that stands for it
     *
     * @throws PictureIsWrong
     */
    public function keep(Site $site, string $bytes, bool $square = false): string
    {
        $kept = $this->files->keep($bytes, $square);
        $url = self::AT.$kept['name'];
        Picture::query()->updateOrCreate(
            ['site_id' => $site->id, 'digest' => Picture::digestOf($url)],
            ['url' => $url, 'state' => PictureState::Kept] + $kept,
        );

        return $url;
    }

    /** Whether a site has one at an address. */
    public function has(Site $site, string $url): bool
    {
        return str_starts_with($url, self::AT) && $site->pictures()->where('digest', Picture::digestOf($url))->exists();
    }
}
