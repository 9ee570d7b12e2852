<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Edition\JsonFeed;
use Gnomic\Edition\Variants;
use Illuminate\Contracts\View\Factory;

/** Content to HTML: the one way for the proof on the bench, the command line and what goes out. */
final class Renderer
{
    private ?string $templates = null;

    /** @param  string  $folder  of templates, styles and layouts */
    public function __construct(
        private readonly Factory $views,
        private readonly StyleSheets $styles,
        private readonly string $host,
        private readonly string $folder,
    ) {
    }

    /**
     * @param  string  $name  of the widget, for those who hear it and for the feed
     * @param  Content|null  $everything  behind the honest line, where there is one
     * @param  array<string, Content>  $variants  by name
     */
    public function render(
        string $key,
        string $name,
        Content $content,
        ?Content $everything = null,
        ?Variants $manifest = null,
        array $variants = [],
    ): Rendering {
        $fragment = $this->fragment($content, $key, $name, $manifest?->manifest());

        return new Rendering(
            $fragment,
            $this->document($content, $fragment, $key, $name),
            JsonFeed::write($this->host, $key, $name, $content->shown),
            $everything === null
                ? null
                : $this->document(
                    $everything,
                    $this->fragment($everything, $key, $name),
                    $key,
                    $everything->words->say('everything.title', ['name' => $name]),
                ),
            array_map(fn (Content $variant): string => $this->fragment($variant, $key, $name), $variants),
        );
    }

    /**
     * A declarative shadow root: markup and styles, closed off from the page around it.
     *
     * @param  string|null  $manifest  of the variants that the element on the page may choose instead
     */
    public function fragment(Content $content, string $key, string $name, ?string $manifest = null): string
    {
        $plan = $content->plan();

        return $this->tight(
            'widget::fragment',
            [
                'plan' => $plan,
                'words' => $plan->words,
                'styles' => $this->styles->of($plan, $content->look),
                'name' => $name,
                'manifest' => $manifest,
                'all' => "$this->host/w/$key/all.html",
            ],
        );
    }

    /**
     * Another wherever a rendering might be another: of all that it is made from, the templates and the host included.
     *
     * @param  array<string, Content>  $contents  by the names of the variants
     */
    public function fingerprint(string $key, string $name, Variants $variants, array $contents, ?Content $everything): string
    {
        $this->templates ??= FolderDigest::of($this->folder);

        return hash('xxh128', json_encode([
            $this->templates,
            $this->host,
            $key,
            $name,
            $variants->manifest(),
            array_map(fn (Content $content): array => $content->inputs(), $contents),
            $everything?->inputs(),
        ],
            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION));
    }

    private function document(Content $content, string $fragment, string $key, string $name): string
    {
        return $this->tight(
            'widget::document',
            [
                'fragment' => $fragment,
                'name' => $name,
                'key' => $key,
                'look' => $content->look,
                'language' => $content->words->language,
                'note' => $content->note,
            ],
        );
    }

    /** @param  array<string, mixed>  $with */
    private function tight(string $view, array $with): string
    {
        return trim((string) preg_replace('/\s*\n\s*/', "\n", $this->views->make($view, $with)->render()))."\n";
    }
}
