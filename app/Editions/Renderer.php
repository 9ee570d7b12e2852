<?php

declare(strict_types=1);

namespace App\Editions;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Palette;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Kept;
use Gnomic\Shape\Plan;
use Gnomic\Standing\Overall;
use Illuminate\Contracts\View\Factory;

/** Brief, entries and figures to HTML: the one way for the proof on the bench, the command line and what goes out. */
final readonly class Renderer
{
    public function __construct(private Factory $views, private string $host)
    {
    }

    /**
     * @param  string  $name  of the widget, for those who hear it and for the feed
     * @param  list<Entry>  $shown
     * @param  array<string, string>  $saidAt  by the key of the source
     * @param  array<string, Kept>  $pictures  by their address at the source
     */
    public function render(string $key, string $name, Brief $brief, array $shown, Overall $overall, array $saidAt, DateTimeZone $zone, array $pictures = []): Rendering
    {
        $plan = Plan::of($brief, $shown, $overall, $saidAt, $zone, $pictures);
        $fragment = $this->fragment($plan, $brief, $name);

        return new Rendering(
            $fragment,
            $this->tight('widget::document', ['fragment' => $fragment, 'name' => $name, 'key' => $key, 'palette' => Palette::of($brief->dressing)]),
            FeedOfShown::write($this->host, $key, $name, $shown),
        );
    }

    /** A declarative shadow root: markup and styles, closed off from the page around it. */
    public function fragment(Plan $plan, Brief $brief, string $name): string
    {
        return $this->tight('widget::fragment', ['plan' => $plan, 'palette' => Palette::of($brief->dressing), 'name' => $name]);
    }

    /** @param  array<string, mixed>  $with */
    private function tight(string $view, array $with): string
    {
        return trim((string) preg_replace('/\s*\n\s*/', "\n", $this->views->make($view, $with)->render()))."\n";
    }
}
