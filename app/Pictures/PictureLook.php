<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Picture;
use App\Models\PictureState;
use Gnomic\Json\Value;
use Illuminate\Contracts\Cache\Repository;

/** Looks whether the files of pictures are whole, some thousands at a time; those that are not are fetched again. */
final readonly class PictureLook
{
    /** Pictures that are looked at in one go. */
    private const SOME = 3_000;

    private const WHERE = 'pictures-looked-at';

    public function __construct(private PictureFiles $files, private Repository $cache)
    {
    }

    /**
     * @param  bool  $thoroughly  whether all are looked at, and read
     * @return int how many were not whole
     */
    public function mend(bool $thoroughly = false): int
    {
        $from = $thoroughly ? 0 : Value::whole($this->cache->get(self::WHERE, 0));
        $wrong = $seen = 0;
        $query = Picture::query();
        $query->where('state', PictureState::Kept)->where('id', '>', $from)->orderBy('id');
        /** @var Picture $picture */
        foreach ($thoroughly ? $query->lazyById(500) : $query->limit(self::SOME)->get() as $picture) {
            $seen++;
            $from = $picture->id;
            if (! $this->files->areSound((string) $picture->name, Value::wholes($picture->widths), $thoroughly)) {
                $picture->update(['state' => PictureState::Waiting, 'tries' => 0]);
                $wrong++;
            }
        }
        if (! $thoroughly) {
            $this->cache->forever(self::WHERE, $seen < self::SOME ? 0 : $from);
        }

        return $wrong;
    }
}
