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

    /** Characters of a code that people paste. */
    private const SHORT = 300;

    /** The room of what stands over the page. */
    private const NONE = '0px';

    /** Where no scripts run, no room is kept; older browsers leave this out. */
    private const SCRIPTED = ';display:if(media(scripting):block;else:none)';

    /** What the script is called by what waits for it. */
    private const SCRIPT = 'gno';

    /** Seconds after which nothing will come any more. */
    private const PATIENCE = 6;

    /** @param  string  $folder  of codes of several lines */
    public function __construct(private string $host, private string $folder)
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
                'exact',
                'The same, with its room kept exactly',
                'Longer: while the widget is fetched, the page keeps just the room that it will take, at every width.',
                $this->exactTag($widget),
                'The long tag',
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
                $this->filled('include.php.txt', $widget),
                'The PHP code',
            ),
            $code(
                'nginx',
                'Put in by your server, with nginx',
                'By server-side includes; nginx keeps it for a minute.',
                $this->filled('include.nginx.txt', $widget),
                'The nginx settings',
            ),
            $code(
                'node',
                'Put in by your server, with Node',
                'In a template of your own.',
                $this->filled('include.node.txt', $widget),
                'The Node code',
            ),
            $code(
                'curl',
                'Put in by your server, with curl',
                'For a script that builds pages; run it every hour.',
                $this->filled('include.curl.txt', $widget),
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

    /**
     * Short, with about the room that the widget will take: as exactly as a few hundred characters allow.
     */
    public function tag(Widget $widget): string
    {
        $room = $widget->edition->room ?? null;
        $forms = $room === null ? [] : array_unique([(string) ($room['short'] ?? "{$room['wide']}px"), "{$room['wide']}px"]);
        foreach ($forms as $form) {
            $tag = $this->tagWith($widget, '', self::kept($form));
            if (strlen($tag) <= self::SHORT) {
                return $tag;
            }
        }

        return $this->tagWith($widget, '', '');
    }

    /** With exactly its room, so that nothing on the page moves when it comes in. */
    public function exactTag(Widget $widget): string
    {
        $room = $widget->edition->room['length'] ?? null;

        return $room === null || $room === self::NONE ? $this->tagWith($widget, '', '')
            : $this->tagWith($widget, " style=\"--gnomic-room:$room\"", self::kept('var(--gnomic-room)'));
    }

    private function tagWith(Widget $widget, string $style, string $room): string
    {
        $called = $room === '' ? '' : ' id="'.self::SCRIPT.'"';

        return "<script async$called src=\"$this->host/gnomic.js\"></script>"
            ."<gnomic-widget key=\"$widget->key\"$style>$room</gnomic-widget>";
    }

    /**
     * Room that gives itself back: at once where the script cannot be had or no scripts run, and after some seconds in any case. An
     * element without content does so by what browsers do themselves (SMIL 3.0, "event values"; CSS Values 5, "if()"), so that no policy
     * of the page forbids it; where its style is forbidden, no room is kept.
     */
    private static function kept(string $length): string
    {
        // What takes no room stands between paragraphs as if it were not there: their margins meet.
        return $length === self::NONE ? ''
            : "<svg display=block height=0 style=\"padding-top:$length".self::SCRIPTED.'"><set attributeName=display to=none begin='
                .self::SCRIPT.'.error;'.self::PATIENCE.'s /></svg>';
    }

    public function site(Site $site): string
    {
        return "<script async src=\"$this->host/s/$site->key.js\"></script>";
    }

    public function frame(Widget $widget): string
    {
        $name = htmlspecialchars($widget->title(), ENT_QUOTES);

        return "<iframe id=\"gnomic-$widget->key\" src=\"$this->host/w/$widget->key\" title=\"$name\" loading=\"lazy\" "
            .'style="width:100%;height:'.$this->height($widget).'px;border:0"></iframe>'
            .$this->filled('frame.txt', $widget);
    }

    public function plain(Widget $widget): string
    {
        $name = htmlspecialchars($widget->title(), ENT_QUOTES);
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
        return strtr($this->filled('mail.txt', $widget), [
            '{{name}}' => $widget->name,
            '{{site}}' => $site->front(),
            '{{tag}}' => $this->tag($widget),
            '{{frame}}' => $this->frame($widget),
        ])."\n";
    }

    /** Codes of several lines stand in files, as they are pasted. */
    private function filled(string $name, Widget $widget): string
    {
        return strtr(rtrim((string) file_get_contents("$this->folder/$name")), ['{{host}}' => $this->host, '{{key}}' => $widget->key]);
    }
}
