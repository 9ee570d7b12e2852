<?php

declare(strict_types=1);

namespace App\Placing;

use App\Models\Site;
use App\Models\Widget;

/** What an owner pastes, or hands to somebody: for every way in which pages are made. */
final readonly class Codes
{
    /** CSS pixels of a frame where nothing is known of the widget yet. */
    private const USUAL_HEIGHT = 600;

    public function __construct(private string $host)
    {
    }

    /** @return list<array{key: string, title: string, why: string, code: string, copied: string}> */
    public function of(Site $site, Widget $widget): array
    {
        $code = fn (string $key, string $title, string $why, string $code, string $copied): array => compact(
            'key',
            'title',
            'why',
            'code',
            'copied',
        );

        $isPictured = $widget->edition->room['pictured'] ?? false;
        $codes = [
            $code(
                'tag',
                'Where the widget should be',
                'For a block for custom HTML, or for your own templates.',
                $this->tag($widget),
                'The tag',
            ),
            $code(
                'site',
                'Once for the whole site',
                'In the head or the foot of all pages; where widgets stand is then decided under Pages.',
                $this->site($site),
                'The tag of the site',
            ),
            $code(
                'frame',
                'As a frame',
                'Where scripts or unknown elements are taken out when a page is saved. Its height follows the widget where the script '
                    .'beside it may run, and is as stated where not.',
                $this->frame($widget),
                'The frame',
            ),
            $code(
                'plain',
                'Without any script',
                'For e-mails and pages that allow links and pictures alone. The picture is always the newest.',
                $this->plain($widget),
                'The code without scripts',
            ),
            $code(
                'php',
                'Put in by your server, with PHP',
                'There at once, and without scripts; the script adds what moves.',
                $this->php($widget),
                'The PHP code',
            ),
            $code(
                'nginx',
                'Put in by your server, with nginx',
                'By server-side includes; nginx keeps it for a minute.',
                $this->nginx($widget),
                'The nginx settings',
            ),
            $code('node', 'Put in by your server, with Node', 'In a template of your own.', $this->node($widget), 'The Node code'),
            $code(
                'curl',
                'Put in by your server, with curl',
                'For a script that builds pages; run it every hour.',
                $this->curl($widget),
                'The curl line',
            ),
            $code('address', 'By its address', 'For editors that embed by address (oEmbed).', "$this->host/w/$widget->key", 'The address'),
            $code(
                'svg',
                'The rating as a picture',
                'For documents and pages.',
                "$this->host/w/$widget->key.svg",
                'The address of the picture',
            ),
            $code(
                'png',
                'The rating as a picture for e-mails',
                'For programs that show no SVG.',
                "$this->host/w/$widget->key.png",
                'The address of the picture',
            ),
            $code('feed', 'As JSON Feed', 'For programs.', "$this->host/w/$widget->key.json", 'The address of the feed'),
            $code('rss', 'As RSS', 'For feed readers and newsletters.', "$this->host/w/$widget->key.rss", 'The address of the feed'),
            $code('atom', 'As Atom', 'For feed readers.', "$this->host/w/$widget->key.atom", 'The address of the feed'),
        ];

        return array_values(array_filter($codes, fn (array $one): bool => $isPictured || ! in_array($one['key'], ['svg', 'png'], true)));
    }

    public function tag(Widget $widget): string
    {
        $room = $widget->edition->room['length'] ?? null;
        // The room that it takes at every width goes with the tag, so that nothing on the page moves when it comes in.
        $style = $room === null ? '' : " style=\"display:block;--gnomic-room:$room;padding-top:var(--gnomic-room)\"";

        return "<script async src=\"$this->host/gnomic.js\"></script><gnomic-widget key=\"$widget->key\"$style></gnomic-widget>";
    }

    public function site(Site $site): string
    {
        return "<script async src=\"$this->host/s/$site->key.js\"></script>";
    }

    public function frame(Widget $widget): string
    {
        $name = htmlspecialchars($widget->name, ENT_QUOTES);

        return "<iframe id=\"gnomic-$widget->key\" src=\"$this->host/w/$widget->key\" title=\"$name\" loading=\"lazy\" "
            .'style="width:100%;height:'.$this->height($widget).'px;border:0"></iframe>'
            ."<script>addEventListener('message',function(e){var f=document.getElementById('gnomic-$widget->key');"
            ."if(e.origin==='$this->host'&&f&&e.source===f.contentWindow&&e.data.gnomicHeight>0)f.style.height=e.data.gnomicHeight+'px'})</script>";
    }

    public function plain(Widget $widget): string
    {
        $name = htmlspecialchars($widget->name, ENT_QUOTES);
        $link = "<a href=\"$this->host/w/$widget->key\">";
        $picture = ($widget->edition->room['pictured'] ?? false)
            ? "$link<img src=\"$this->host/w/$widget->key.svg\" width=\"360\" height=\"72\" alt=\"$name\"></a><br>" : '';

        return "<p>$picture$link$name</a></p>";
    }

    public function height(Widget $widget): int
    {
        $room = $widget->edition->room ?? null;

        return $room === null ? self::USUAL_HEIGHT : max(40, $room['phone'], $room['wide']);
    }

    /** For whoever looks after the site: exactly what they need, and nothing else. */
    public function mail(Site $site, Widget $widget): string
    {
        return "Hello,\n\nplease put this where \"$widget->name\" should be on {$site->front()}:\n\n    {$this->tag($widget)}\n\n"
            .'It goes into a block for custom HTML, or into a template. It has to be pasted once: what is changed later appears by itself. '
            ."Nothing shows while you edit, and that is normal; it shows on the published page.\n\n"
            ."If scripts are taken out when the page is saved, use this instead:\n\n    {$this->frame($widget)}\n\n"
            ."If the site has a Content-Security-Policy, add $this->host to its script-src, connect-src and img-src "
            ."(for the second code, to its frame-src).\n\nIt sets no cookie, keeps nothing with visitors, and loads nothing from anybody else.\n";
    }

    private function php(Widget $widget): string
    {
        return "<gnomic-widget key=\"$widget->key\"><?php\n"
            ."\$kept = sys_get_temp_dir().'/gnomic-$widget->key.html';\n"
            ."if (!is_file(\$kept) || filemtime(\$kept) < time() - 300) {\n"
            ."    \$new = @file_get_contents('$this->host/w/$widget->key.html', false, stream_context_create(['http' => ['timeout' => 2]]));\n"
            ."    is_string(\$new) && \$new !== '' ? file_put_contents(\$kept, \$new) : @touch(\$kept);\n"
            ."}\n"
            ."@readfile(\$kept);\n"
            ."?></gnomic-widget><script async src=\"$this->host/gnomic.js\"></script>";
    }

    private function nginx(Widget $widget): string
    {
        return "# in the page:\n<gnomic-widget key=\"$widget->key\"><!--# include virtual=\"/gnomic/$widget->key.html\" --></gnomic-widget>\n"
            ."<script async src=\"$this->host/gnomic.js\"></script>\n\n"
            ."# in http {}:\nproxy_cache_path /var/cache/nginx/gnomic keys_zone=gnomic:1m;\n\n"
            ."# in server {}:\nlocation /gnomic/ {\n    internal;\n    proxy_pass $this->host/w/;\n    proxy_set_header Accept-Encoding \"\";\n"
            ."    proxy_cache gnomic;\n    proxy_cache_valid 200 1m;\n    proxy_cache_use_stale error timeout updating http_500 http_502 http_504;\n}\n"
            .'# and where the page is served: ssi on;';
    }

    private function node(Widget $widget): string
    {
        return "let kept = '', at = 0;\n"
            ."export async function widget() {\n"
            ."  if (Date.now() - at > 300_000) {\n"
            ."    at = Date.now();\n"
            ."    const answer = await fetch('$this->host/w/$widget->key.html', { signal: AbortSignal.timeout(2000) }).catch(() => null);\n"
            ."    if (answer?.ok) kept = await answer.text();\n"
            ."  }\n"
            ."  return `<gnomic-widget key=\"$widget->key\">\${kept}</gnomic-widget><script async src=\"$this->host/gnomic.js\"></script>`;\n"
            .'}';
    }

    private function curl(Widget $widget): string
    {
        return "curl --fail --silent --max-time 5 --output $widget->key.new $this->host/w/$widget->key.html && mv $widget->key.new $widget->key.html";
    }
}
