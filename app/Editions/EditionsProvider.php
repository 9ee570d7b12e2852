<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\KnowsHost;
use App\Outbox\Renders;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\View\Factory;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\ServiceProvider;

/** Templates, styles, words and looks, and where editions lie. */
final class EditionsProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(Renders::class, BringUpToDate::class);
        $this->app->bind(EditionFiles::class, fn (): EditionFiles => new EditionFiles(config()->string('gnomic.editions')));
        $this->app->singleton(Catalogues::class, fn (): Catalogues => new Catalogues(resource_path('words')));
        $this->app->singleton(LookFiles::class, fn (): LookFiles => new LookFiles(resource_path('looks')));
        $this->app->singleton(StyleSheets::class, fn (): StyleSheets => new StyleSheets(resource_path('widget'), new WidthRules));
        $this->app->singleton('blade.compiler', fn (Application $app): TemplateCompiler => new TemplateCompiler(
            $app->make(Filesystem::class),
            config()->string('view.compiled'),
            new PartTemplates(resource_path('widget')),
        ));
        $this->app->singleton(Behaviours::class, fn (): Behaviours => new Behaviours(public_path('b/manifest.json')));
        $this->app->singleton(
            Renderer::class,
            fn (Application $app): Renderer => new Renderer(
                $app->make(Fragments::class),
                $app->make(Templates::class),
                $app->make(Behaviours::class),
                $app->make(RatingPicture::class),
                $this->host(),
            ),
        );
        $this->app->singleton(
            Fragments::class,
            fn (Application $app): Fragments => new Fragments(
                $app->make(Templates::class),
                $app->make(StyleSheets::class),
                new UsedStyles,
                $app->make(Behaviours::class),
                $app->make(Glyphs::class),
                $this->host(),
            ),
        );
        $this->app->singleton(
            Templates::class,
            fn (Application $app): Templates => new Templates($app->make(Factory::class), resource_path('widget')),
        );
        $this->app->singleton(Glyphs::class, fn (): Glyphs => new Glyphs(resource_path('widget/glyphs')));
        $this->app->singleton(ParsedBriefs::class);
        $this->app->singleton(RatingPicture::class, fn (): RatingPicture => new RatingPicture(config()->string('gnomic.font')));
    }
}
