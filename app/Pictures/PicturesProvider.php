<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Host\KnowsHost;
use Illuminate\Support\ServiceProvider;

/** Where pictures lie, and what they are called on pages. */
final class PicturesProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(Pictures::class, fn (): Pictures => new Pictures($this->host()));
        $this->app->bind(PictureFiles::class, fn (): PictureFiles => new PictureFiles(config()->string('gnomic.editions').'/p'));
    }
}
