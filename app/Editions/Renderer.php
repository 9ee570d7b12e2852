<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Edition\JsonFeed;
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

    /** @param  string  $name  of the widget, for those who hear it and for the feed */
    public function edition(string $key, string $name, Made $made): Rendering
    {
        if ($made->contents === []) {
            return $this->nothing($key, $name);
        }
        $content = $made->contents[''];
        $fragment = $this->fragment($content, $key, $name);
        $everything = $pages = [];
        foreach ($made->pages as $page) {
            $pages[$page->name] = $page->digest;
            if ($page->content !== null) {
                $title = $page->content->words->say('everything.title', ['name' => $name]);
                $everything[$page->name] = $this->document(
                    $page->content,
                    $this->fragment($page->content, $key, $name),
                    $key,
                    $title,
                    $page,
                );
            }
        }

        return new Rendering(
            $fragment,
            $this->document($content, $fragment, $key, $name),
            JsonFeed::shown($this->host, $key, $name, $content->plan(), $content->shown),
            array_map(
                fn (Content $variant): string => $this->fragment($variant, $key, $name),
                array_diff_key($made->contents, ['' => true]),
            ),
            $everything,
            $pages,
            $made->variants?->manifest(),
        );
    }

    /** Of a widget that was taken away. */
    private function nothing(string $key, string $name): Rendering
    {
        $fragment = $this->tight('widget::nothing', []);

        return new Rendering(
            $fragment,
            $this->tight('widget::removed', ['fragment' => $fragment]),
            JsonFeed::shown($this->host, $key, $name, null, []),
        );
    }

    /** A declarative shadow root: markup and styles, closed off from the page around it. */
    public function fragment(Content $content, string $key, string $name): string
    {
        $plan = $content->plan();

        return $this->tight(
            'widget::fragment',
            [
                'plan' => $plan,
                'words' => $plan->words,
                'styles' => $this->styles->of($plan, $content->look),
                'name' => $name,
                'all' => "$this->host/w/$key/all.html",
            ],
        );
    }

    /** Another wherever what stands around the entries might be another: the names, the host, the templates. */
    public function frame(string $key, string $name): string
    {
        $this->templates ??= FolderDigest::of($this->folder);

        $around = [$this->templates, $this->host, $key, $name];

        return hash('xxh128', json_encode($around, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /**
     * Another wherever a rendering might be another.
     *
     * @param  string  $frame  of frame()
     */
    public function fingerprint(string $frame, Made $made): string
    {
        return hash('xxh128', json_encode([
            $frame,
            $made->variants?->manifest(),
            array_map(fn (Content $content): array => $content->inputs(), $made->contents),
            array_map(fn (EverythingPage $page): array => [$page->name, $page->digest], $made->pages),
        ],
            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION));
    }

    private function document(Content $content, string $fragment, string $key, string $name, ?EverythingPage $page = null): string
    {
        return $this->tight(
            'widget::document',
            [
                'fragment' => $fragment,
                'name' => $name,
                'key' => $key,
                'look' => $content->look,
                'words' => $content->words,
                'page' => $page,
            ],
        );
    }

    /** @param  array<string, mixed>  $with */
    private function tight(string $view, array $with): string
    {
        return trim((string) preg_replace('/\s*\n\s*/', "\n", $this->views->make($view, $with)->render()))."\n";
    }
}
