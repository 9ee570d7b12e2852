<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Palette;
use Gnomic\Shape\Variants;
use Illuminate\Contracts\View\Factory;

/** Brief, entries and figures to HTML: the one way for the proof on the bench, the command line and what goes out. */
final readonly class Renderer
{
    public function __construct(private Factory $views, private string $host)
    {
    }

    /**
     * @param  string  $name  of the widget, for those who hear it and for the feed
     * @param  Content|null  $everything  behind the honest line, where there is one
     * @param  array<string, Content>  $others  by the name of the variant
     */
    public function render(string $key, string $name, Content $content, ?Content $everything = null, ?Variants $variants = null, array $others = []): Rendering
    {
        $fragment = $this->fragment($content, $key, $name, $variants?->manifest());

        return new Rendering(
            $fragment,
            $this->document($content, $fragment, $key, $name),
            FeedOfShown::write($this->host, $key, $name, $content->shown),
            $everything === null ? null : $this->everything($everything, $key, $name),
            array_map(fn (Content $other): string => $this->fragment($other, $key, $name, null), $others),
        );
    }

    /**
     * A declarative shadow root: markup and styles, closed off from the page around it.
     *
     * @param  string|null  $manifest  of the variants that the element on the page may choose instead
     */
    public function fragment(Content $content, string $key, string $name, ?string $manifest = null): string
    {
        return $this->tight('widget::fragment', ['plan' => $content->plan(), 'palette' => Palette::of($content->brief->dressing), 'name' => $name, 'manifest' => $manifest, 'all' => "$this->host/w/$key/all.html"]);
    }

    private function document(Content $content, string $fragment, string $key, string $name): string
    {
        return $this->tight('widget::document', ['fragment' => $fragment, 'name' => $name, 'key' => $key, 'palette' => Palette::of($content->brief->dressing), 'note' => null]);
    }

    /** Everything collected, the newest of it: where the honest line leads. */
    private function everything(Content $content, string $key, string $name): string
    {
        $fragment = $this->fragment($content, $key, $name);

        return $this->tight('widget::document', ['fragment' => $fragment, 'name' => "$name: everything", 'key' => $key, 'palette' => Palette::of($content->brief->dressing), 'note' => $content->note]);
    }

    /** @param  array<string, mixed>  $with */
    private function tight(string $view, array $with): string
    {
        return trim((string) preg_replace('/\s*\n\s*/', "\n", $this->views->make($view, $with)->render()))."\n";
    }
}
